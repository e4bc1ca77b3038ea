<?php

declare(strict_types=1);

namespace App\Floor;

/** A stretch of a job that is still to come: minutes of hands, or of waiting. */
final readonly class Lane
{
    public function __construct(public bool $hands, public float $minutes)
    {
    }
}
