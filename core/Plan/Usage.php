<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** How far a vehicle has run, in all and since its coolant was changed, as far as it is known. */
final readonly class Usage
{
    /** @param  bool  $first  whether the coolant in it is still the first fill */
    public function __construct(
        public ?float $odometerKm = null,
        public ?float $hours = null,
        public ?float $sinceKm = null,
        public ?float $sinceMonths = null,
        public ?float $sinceHours = null,
        public bool $first = false,
    ) {
    }
}
