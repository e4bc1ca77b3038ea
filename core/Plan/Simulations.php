<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\Filling;

/** Fills of one circuit at one barometer and what its drains let out, each simulated once. */
final class Simulations
{
    /** @var array<string, Filling|Drainage> */
    private array $done = [];

    public function __construct(
        private readonly Circuit $circuit,
        private readonly float $barometerKpa,
        private readonly ?KnownFills $known = null,
    ) {
    }

    public function of(PlannedPour $pour, float $coarseness = 1.0): Filling
    {
        $key = implode('/', [
            'in', $this->barometerKpa, $pour->at, $pour->noseLiftMm, $pour->headMm, $coarseness, implode(',', $pour->open),
        ]);
        $fill = fn (): Filling => Filling::of(
            $this->circuit,
            $pour->at,
            $pour->open,
            $this->circuit->usualGates(),
            $pour->noseLiftMm,
            $pour->headMm,
            $this->barometerKpa,
            $coarseness,
        );
        $known = $this->done[$key] ??= $this->once($key, $fill);

        return $known instanceof Filling ? $known : throw new \LogicException("{$key} is no fill.");
    }

    /** @param  list<string>  $ports  drain ports in the order they are opened, all bleed points open */
    public function drained(array $ports, float $noseLiftMm): Drainage
    {
        $key = implode('/', ['out', $noseLiftMm, implode(',', $ports)]);
        $drain = fn (): Drainage => Drainage::of(
            $this->circuit,
            $ports,
            $this->circuit->usualGates(),
            $noseLiftMm,
            $this->circuit->portIds(PortKind::Bleed),
        );
        $known = $this->done[$key] ??= $this->once($key, $drain);

        return $known instanceof Drainage ? $known : throw new \LogicException("{$key} is no drainage.");
    }

    /** @param  \Closure(): (Filling|Drainage)  $simulate */
    private function once(string $key, \Closure $simulate): Filling|Drainage
    {
        return $this->known === null ? $simulate() : $this->known->once($key, $simulate);
    }
}
