<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** A shop's rule for changing the coolant: by distance, time or running hours, whichever comes first. */
final readonly class ChangeInterval
{
    public function __construct(public float $km, public float $months, public float $hours)
    {
    }

    /**
     * How much of the interval is used up by what is known; null when nothing is.
     *
     * @return ?array{share: float, by: string}
     */
    public function used(?float $km, ?float $months, ?float $hours): ?array
    {
        $shares = array_filter([
            'distance' => $km === null || $this->km <= 0.0 ? null : $km / $this->km,
            'time' => $months === null || $this->months <= 0.0 ? null : $months / $this->months,
            'running hours' => $hours === null || $this->hours <= 0.0 ? null : $hours / $this->hours,
        ], fn (?float $share) => $share !== null);
        if ($shares === []) {
            return null;
        }
        arsort($shares);

        return ['share' => reset($shares), 'by' => array_key_first($shares)];
    }

    /** @return array{km: float, months: float, hours: float} */
    public function toArray(): array
    {
        return ['km' => $this->km, 'months' => $this->months, 'hours' => $this->hours];
    }
}
