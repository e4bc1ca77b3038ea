<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** How much of a change interval is used up, and by what. */
final readonly class IntervalUsed
{
    /** From this share on the change is due. */
    private const DUE = 0.9;

    public function __construct(public float $share, public ChangeBy $by)
    {
    }

    public function due(): bool
    {
        return $this->share >= self::DUE;
    }

    public function overdue(): bool
    {
        return $this->share >= 1.0;
    }
}
