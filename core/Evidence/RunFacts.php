<?php

declare(strict_types=1);

namespace Aqbel\Core\Evidence;

use Aqbel\Core\Circuit\Facts;

/** What of a vehicle a hot run is judged by, °C; null where the manual does not say. */
final readonly class RunFacts
{
    public function __construct(
        public ?float $startC = null,
        public ?float $fullC = null,
        public ?float $fanOnC = null,
        public ?float $fanOffC = null,
        public ?float $limitC = null,
    ) {
    }

    public static function of(Facts $facts, ?float $limitC): self
    {
        return new self(
            $facts->thermostatStartC,
            $facts->thermostatFullC,
            $facts->fanOnC,
            $facts->fanOffC,
            $limitC ?? $facts->limitC,
        );
    }
}
