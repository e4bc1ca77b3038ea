<?php

declare(strict_types=1);

namespace App\Floor;

/** A stretch of the day of one vehicle as the plan has it, minutes from now. */
final readonly class DaySpan
{
    /** @param  string  $who  first letter of whoever is at it; empty of a clock */
    public function __construct(public float $fromMin, public float $toMin, public string $who)
    {
    }
}
