<?php

declare(strict_types=1);

namespace Aqbel\Core\Saying;

/** What keeps a step from being finished. A hard one is never waved through; any other may be, with a typed reason. */
final readonly class Obstacle
{
    private function __construct(public string $text, public bool $hard)
    {
    }

    public static function missing(string $text): self
    {
        return new self($text, false);
    }

    public static function never(string $text): self
    {
        return new self($text, true);
    }
}
