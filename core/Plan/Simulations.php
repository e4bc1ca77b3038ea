<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Flow\Filling;

/** Fills of one circuit, each simulated once. */
final class Simulations
{
    /** @var array<string, Filling> */
    private array $done = [];

    public function __construct(private readonly Circuit $circuit, private readonly float $barometerKpa)
    {
    }

    public function of(PlannedPour $pour, float $coarseness = 1.0): Filling
    {
        $key = implode('/', [$pour->at, $pour->noseLiftMm, $pour->headMm, $coarseness, implode(',', $pour->open)]);

        return $this->done[$key] ??= Filling::of(
            $this->circuit, $pour->at, $pour->open, $this->circuit->usualGates(), $pour->noseLiftMm, $pour->headMm, $this->barometerKpa, $coarseness,
        );
    }
}
