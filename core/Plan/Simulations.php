<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Circuit\Volumes;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Flow\Ties;

/** Fills of one circuit as these choices have it, and what its drains let out, each simulated once. */
final class Simulations
{
    /** What stays inside is drawn on no coarser mesh than this: on one of four a tie of a fifth of the circuit was missed. */
    private const STAYS_COARSENESS = 2.0;

    /** @var array<string, Filling|Drainage|Ties> */
    private array $done = [];

    private readonly float $barometerKpa;

    public function __construct(
        private readonly Circuit $circuit,
        private readonly Choices $choices,
        private readonly ?KnownFills $known = null,
    ) {
        $this->barometerKpa = $choices->atmosphere()->pressure->kPa();
    }

    public function of(PlannedPour $pour, float $coarseness = 1.0): Filling
    {
        $key = $this->key('in', $pour, $coarseness);
        $known = $this->done[$key] ??= $this->once(
            $key,
            fn (): Filling => $this->fill($this->circuit, $pour, $coarseness),
        );

        return $known instanceof Filling ? $known : throw new \LogicException("{$key} is no fill.");
    }

    /** Pairs of heights that decide how much air a pour leaves, and lie too near to each other to be sure. */
    public function ties(PlannedPour $pour): Ties
    {
        $key = $this->key('ties', $pour, 1.0);
        $air = fn (Circuit $circuit, float $coarseness): float => $circuit === $this->circuit
            ? $this->of($pour, $coarseness)->airMl
            : $this->fill($circuit, $pour, $coarseness)->airMl;
        $known = $this->done[$key] ??= $this->once(
            $key,
            fn (): Ties => Ties::of($this->circuit, $pour->noseLiftMm, $air),
        );

        return $known instanceof Ties ? $known : throw new \LogicException("{$key} are no ties.");
    }

    private function key(string $what, PlannedPour $pour, float $coarseness): string
    {
        return implode('/', [
            $what,
            $this->barometerKpa,
            $pour->at,
            $pour->noseLiftMm,
            $pour->headMm,
            $coarseness,
            implode(',', $pour->open),
            ...$pour->after === null ? [] : [$this->key('after', $pour->after, $coarseness)],
            ...$this->before(),
        ]);
    }

    /** @return list<float|string> what the fill begins on depends on */
    private function before(): array
    {
        $of = $this->choices;

        return $of->fillsOnWhatStays() ? [$of->noseLiftMm, implode(',', $of->drains), implode(',', $of->opened)] : [];
    }

    private function fill(Circuit $circuit, PlannedPour $pour, float $coarseness): Filling
    {
        return $pour->fill($circuit, $this->inside($circuit, $coarseness), $this->barometerKpa, $coarseness);
    }

    private function inside(Circuit $circuit, float $coarseness): Volumes
    {
        [$of, $mesh] = [$this->choices, min($coarseness, self::STAYS_COARSENESS)];

        return match (true) {
            ! $of->fillsOnWhatStays() => new Volumes,
            $circuit === $this->circuit => $of->inside($this->drained($of->drains, $of->noseLiftMm, $mesh)->retained),
            default => $of->inside(self::drain($circuit, $of->drains, $of->noseLiftMm, $mesh)->retained),
        };
    }

    /** @param  list<string>  $ports  drain ports in the order they are opened, all bleed points open */
    public function drained(array $ports, float $noseLiftMm, float $coarseness = 1.0): Drainage
    {
        $key = implode('/', ['out', $noseLiftMm, implode(',', $ports), $coarseness]);
        $drain = fn (): Drainage => self::drain($this->circuit, $ports, $noseLiftMm, $coarseness);
        $known = $this->done[$key] ??= $this->once($key, $drain);

        return $known instanceof Drainage ? $known : throw new \LogicException("{$key} is no drainage.");
    }

    /** @param  list<string>  $ports */
    private static function drain(
        Circuit $circuit,
        array $ports,
        float $noseLiftMm,
        float $coarseness,
    ): Drainage {
        return Drainage::of(
            $circuit,
            $ports,
            $circuit->usualGates(),
            $noseLiftMm,
            $circuit->portIds(PortKind::Bleed),
            $coarseness,
        );
    }

    /** @param  \Closure(): (Filling|Drainage|Ties)  $simulate */
    private function once(string $key, \Closure $simulate): Filling|Drainage|Ties
    {
        return $this->known === null ? $simulate() : $this->known->once($key, $simulate);
    }
}
