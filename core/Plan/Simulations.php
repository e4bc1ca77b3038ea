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

    /** @param  list<string>  $open */
    public function fill(float $noseLiftMm, float $headMm, array $open, ?string $at = null, float $coarseness = 1.0): Filling
    {
        $at ??= $this->circuit->fillPort()->id;

        return $this->done["{$noseLiftMm}/{$headMm}/{$at}/{$coarseness}/".implode(',', $open)]
            ??= Filling::of($this->circuit, $at, $open, Filling::usualGates($this->circuit), $noseLiftMm, $headMm, $this->barometerKpa, $coarseness);
    }
}
