<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Flow\Filling;

/** Fills of one circuit at one barometer, each simulated once. */
final class Simulations
{
    /** @var array<string, Filling> */
    private array $asked = [];

    private int $simulated = 0;

    /** @param  array<string, Filling>  $done  simulated before, of this circuit at this barometer */
    public function __construct(
        private readonly Circuit $circuit,
        private readonly float $barometerKpa,
        private readonly array $done = [],
    ) {
    }

    /**
     * What is to be kept, and handed over the next time: first what was asked for now.
     *
     * @return array<string, Filling>
     */
    public function kept(int $most): array
    {
        return array_slice($this->asked + $this->done, 0, $most);
    }

    /** Whether there is more to keep than was handed over. */
    public function hasMore(): bool
    {
        return $this->simulated > 0;
    }

    public function of(PlannedPour $pour, float $coarseness = 1.0): Filling
    {
        $key = implode('/', [$pour->at, $pour->noseLiftMm, $pour->headMm, $coarseness, implode(',', $pour->open)]);

        return $this->asked[$key] ??= $this->done[$key] ?? $this->simulate($pour, $coarseness);
    }

    private function simulate(PlannedPour $pour, float $coarseness): Filling
    {
        $this->simulated++;

        return Filling::of(
            $this->circuit, $pour->at, $pour->open, $this->circuit->usualGates(), $pour->noseLiftMm, $pour->headMm, $this->barometerKpa, $coarseness,
        );
    }
}
