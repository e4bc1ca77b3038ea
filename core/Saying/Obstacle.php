<?php

declare(strict_types=1);

namespace Aqbel\Core\Saying;

/**
 * What keeps a step from being finished. A hard one is never waved through; any other may be, with a typed reason, some
 * only by a lead's. The code is what the journal keeps; the text is wording.
 */
final readonly class Obstacle
{
    private function __construct(
        public string $code,
        public string $text,
        public bool $hard = false,
        public bool $lead = false,
    ) {
    }

    public static function missing(string $code, string $text): self
    {
        return new self($code, $text);
    }

    /** One that a lead alone may pass over. */
    public static function lead(string $code, string $text): self
    {
        return new self($code, $text, lead: true);
    }

    public static function never(string $code, string $text): self
    {
        return new self($code, $text, hard: true);
    }
}
