<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

/** One line of a manual's own filling routine: what is done, and how long it goes on. */
final readonly class RoutineLine
{
    /** @param  float  $minutes  until the next line; 0 where it is done at once */
    private function __construct(public string $text, public float $minutes)
    {
    }

    /** Minutes are those it ends with, such as “Service mode on, pump runs 10 min”. */
    public static function of(string $line): self
    {
        return new self($line, preg_match('/(\d{1,3}(?:\.\d)?)\s*min\.?\s*$/u', $line, $found) === 1 ? (float) $found[1] : 0.0);
    }
}
