<?php

declare(strict_types=1);

namespace Aqbel\Core\Saying;

/**
 * What keeps a step from being finished. A hard one is never waved through; any other may be, with a typed reason. The
 * code is what the journal keeps; the text is wording.
 */
final readonly class Obstacle
{
    private function __construct(public string $code, public string $text, public bool $hard)
    {
    }

    public static function missing(string $code, string $text): self
    {
        return new self($code, $text, false);
    }

    public static function never(string $code, string $text): self
    {
        return new self($code, $text, true);
    }
}
