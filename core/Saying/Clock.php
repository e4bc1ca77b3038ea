<?php

declare(strict_types=1);

namespace Aqbel\Core\Saying;

/** A wait: what for, since when, until when (Unix seconds of the server). */
final readonly class Clock
{
    public function __construct(
        public string $label,
        public int $since,
        public int $until,
        public bool $estimate = false,
    ) {
    }

    public function over(int $now): bool
    {
        return $now >= $this->until;
    }
}
