<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Flow\Filling;

/** Fills of one circuit at one barometer, each simulated once. */
final class Simulations
{
    /** @param  array<string, Filling>  $done  simulated before, of this circuit at this barometer */
    public function __construct(
        private readonly Circuit $circuit,
        private readonly float $barometerKpa,
        private array $done = [],
    ) {
    }

    /** @return array<string, Filling> to be kept, and handed over the next time */
    public function done(): array
    {
        return $this->done;
    }

    public function of(PlannedPour $pour, float $coarseness = 1.0): Filling
    {
        $key = implode('/', [$pour->at, $pour->noseLiftMm, $pour->headMm, $coarseness, implode(',', $pour->open)]);

        return $this->done[$key] ??= Filling::of(
            $this->circuit, $pour->at, $pour->open, $this->circuit->usualGates(), $pour->noseLiftMm, $pour->headMm, $this->barometerKpa, $coarseness,
        );
    }
}
