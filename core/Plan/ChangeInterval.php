<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** A shop's rule for changing the coolant: by distance, time or running hours, whichever comes first. */
final readonly class ChangeInterval
{
    public function __construct(public float $km, public float $months, public float $hours)
    {
    }

    /** How much of the interval is used up by what is known; null when nothing is. */
    public function used(?float $km, ?float $months, ?float $hours): ?IntervalUsed
    {
        $most = null;
        foreach ([
            [ChangeBy::Distance, $km, $this->km],
            [ChangeBy::Time, $months, $this->months],
            [ChangeBy::Hours, $hours, $this->hours],
        ] as [$by, $ran, $allowed]) {
            if ($ran !== null && $allowed > 0.0 && $ran / $allowed > ($most->share ?? -1.0)) {
                $most = new IntervalUsed($ran / $allowed, $by);
            }
        }

        return $most;
    }

    /** @return array{km: float, months: float, hours: float} */
    public function toArray(): array
    {
        return ['km' => $this->km, 'months' => $this->months, 'hours' => $this->hours];
    }
}
