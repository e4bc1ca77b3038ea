<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

use Aqbel\Core\InvalidField;

/**
 * One vehicle's cooling circuit on its elevation model: nodes, passages between them, gates, ports and the vehicle's
 * facts.
 */
final readonly class Circuit
{
    /** Where a thermostat starts to open when the manual does not say, °C (common practice, no source). */
    private const USUALLY_OPENS_C = 75.0;

    public const FORMAT = 'aqbel-circuit/1';

    private float $capacityMl;

    /**
     * @param  array<string, Node>  $nodes
     * @param  array<string, Passage>  $passages
     * @param  array<string, Gate>  $gates
     * @param  array<string, Port>  $ports
     * @param  array<string, Cover>  $covers
     */
    public function __construct(
        public string $name,
        public float $wheelbaseMm,
        public array $nodes,
        public array $passages,
        public array $gates,
        public array $ports,
        public Facts $facts,
        public array $covers = [],
    ) {
        $this->capacityMl = array_sum(array_map(fn (Passage $p) => $p->volumeMl, $passages));
    }

    /** The same with one node so much higher. */
    public function raised(string $node, float $mm): self
    {
        return $this->but([$node => $mm], []);
    }

    /**
     * The same as it may really be.
     *
     * @param  array<string, float>  $higherMm  by node
     * @param  array<string, float>  $times  volumes, by passage
     * @param  list<string>  $otherwise  gates that weep where they were taken not to, and the other way round
     */
    public function but(array $higherMm, array $times, array $otherwise = []): self
    {
        [$nodes, $passages, $gates] = [$this->nodes, $this->passages, $this->gates];
        foreach ($otherwise as $id) {
            $gates[$id] = $gates[$id]->otherwise();
        }
        foreach ($higherMm as $id => $mm) {
            $nodes[$id] = $nodes[$id]->raised($mm);
        }
        foreach ($times as $id => $factor) {
            $passages[$id] = $passages[$id]->holding($factor * $passages[$id]->volumeMl);
        }

        return new self(
            $this->name,
            $this->wheelbaseMm,
            $nodes,
            $passages,
            $gates,
            $this->ports,
            $this->facts,
            $this->covers,
        );
    }

    public function capacityMl(): float
    {
        return $this->capacityMl;
    }

    /** Within which what its passages hold is known, mL: each off by itself, as far as its own ± goes. */
    public function knownWithinMl(): float
    {
        return sqrt(
            array_sum(
                array_map(fn (Passage $passage) => ($passage->plusMinus * $passage->volumeMl) ** 2, $this->passages),
            ),
        );
    }

    /** Whether some passage holds what a layout says it does, and nobody has measured it. */
    public function isRough(): bool
    {
        return array_filter($this->passages, fn (Passage $passage) => $passage->plusMinus > Passage::USUAL) !== [];
    }

    /** Air in the tank when the coolant stands at the cold mark, on level ground, mL. */
    public function headspaceMl(): float
    {
        $mark = $this->nodes[$this->fillPort()->node]->zMm + $this->facts->coldHeadMm;
        $air = 0.0;
        foreach ($this->passages as $passage) {
            if ($passage->hasHeadspace()) {
                [$from, $to] = [$this->nodes[$passage->from]->zMm, $this->nodes[$passage->to]->zMm];
                $above = (max($from, $to) - $mark) / max(1.0, abs($to - $from));
                $air += $passage->volumeMl * max(0.0, min(1.0, $above));
            }
        }

        return $air;
    }

    /** @return list<Port> of one kind, in the circuit's own order */
    public function portsOf(PortKind $kind): array
    {
        return array_values(array_filter($this->ports, fn (Port $p) => $p->kind === $kind));
    }

    /** Whether coolant warms anybody: a heater core, or an outlet that is felt. */
    public function hasHeater(): bool
    {
        return $this->facts->outlets !== [] || $this->hasPart(PassageKind::Heater);
    }

    public function hasBleedPoints(): bool
    {
        return $this->portsOf(PortKind::Bleed) !== [];
    }

    public function hasTank(): bool
    {
        return $this->hasPart(PassageKind::Tank);
    }

    private function hasPart(PassageKind $kind): bool
    {
        return array_filter($this->passages, fn (Passage $passage) => $passage->kind === $kind) !== [];
    }

    public function fillPort(): Port
    {
        return $this->portsOf(PortKind::Fill)[0] ?? throw new InvalidField(
            'ports',
            'The circuit has no fill port. Add the neck where coolant is poured in.',
        );
    }

    /** @throws InvalidField when there is no such port */
    public function port(string $id, string $field = 'port'): Port
    {
        return $this->ports[$id] ?? throw new InvalidField(
            $field,
            "There is no port “{$id}” in this circuit. It has: ".implode(', ', array_keys($this->ports)).'.',
        );
    }

    /** Height of a node above the floor with the front axle lifted: z′ = z + L·(1 + x/wheelbase). */
    public function heightMm(string $node, float $noseLiftMm = 0.0): float
    {
        $at = $this->nodes[$node];

        return $at->zMm + $noseLiftMm * (1.0 + $at->xMm / $this->wheelbaseMm);
    }

    /** @return list<string> ids of the ports of one kind */
    public function portIds(PortKind $kind): array
    {
        return array_map(fn (Port $p) => $p->id, $this->portsOf($kind));
    }

    /** @return list<string> gate ids of one kind */
    public function gatesOf(GateKind $kind): array
    {
        $gates = array_filter($this->gates, fn (Gate $g) => $g->kind === $kind);

        return array_values(array_map(fn (Gate $g) => $g->id, $gates));
    }

    /** Where its thermostat starts to open, °C, as the manual has it or as is usual; null where it has none. */
    public function opensAtC(): ?float
    {
        return $this->gatesOf(GateKind::Thermostat) === []
            ? null
            : $this->facts->thermostatStartC ?? self::USUALLY_OPENS_C;
    }

    /** @return list<string> the gates a technician opens for a drain or a fill: everything but the thermostat */
    public function usualGates(): array
    {
        return [...$this->gatesOf(GateKind::HeaterValve), ...$this->gatesOf(GateKind::Valve)];
    }

    /**
     * Gates where a hose is off while coolant is poured into it: what they shut off has its own open end there.
     *
     * @return list<string>
     */
    public function gatesBeside(string $port): array
    {
        $node = $this->port($port)->node;
        $beside = array_filter(
            $this->gates,
            fn (Gate $gate) => in_array(
                $node,
                [$this->passages[$gate->passage]->from, $this->passages[$gate->passage]->to],
                true,
            ),
        );

        return array_values(array_map(fn (Gate $gate) => $gate->id, $beside));
    }

    /**
     * Something costly that follows from the circuit alone, worked out once for it, however many ask.
     *
     * @template T
     *
     * @param  \Closure(): T  $work
     * @return T
     */
    public function once(string $name, \Closure $work): mixed
    {
        /** @var ?\WeakMap<self, \ArrayObject<string, mixed>> $known */
        static $known = null;
        $known ??= new \WeakMap;
        /** @var \ArrayObject<string, mixed> $mine */
        $mine = $known[$this] ??= new \ArrayObject;
        if (! $mine->offsetExists($name)) {
            $mine[$name] = $work();
        }
        /** @var T $worked */
        $worked = $mine[$name];

        return $worked;
    }

    /** @return list<Part> in the order of their first passages */
    public function parts(): array
    {
        return $this->once(__METHOD__, fn () => $this->madeOf());
    }

    /** @return list<Part> */
    private function madeOf(): array
    {
        $parts = [];
        $left = $this->passages;
        while ($left !== []) {
            $id = (string) array_key_first($left);
            $run = $this->touching($left[$id], $left);
            $left = array_diff_key($left, array_flip($run));
            $parts[] = new Part($id, $this->passages[$id]->label, $run);
        }

        return $parts;
    }

    public function partOf(string $passage): Part
    {
        foreach ($this->parts() as $part) {
            if (in_array($passage, $part->passages, true)) {
                return $part;
            }
        }
        throw new InvalidField('passage', "There is no passage “{$passage}” in this circuit.");
    }

    /**
     * @param  array<string, Passage>  $among
     * @return non-empty-list<string> ids of this passage and of those with its name that hang on it
     */
    private function touching(Passage $first, array $among): array
    {
        [$run, $nodes] = [[$first->id], [$first->from => true, $first->to => true]];
        do {
            $before = count($run);
            foreach ($among as $id => $other) {
                $meets = isset($nodes[$other->from]) || isset($nodes[$other->to]);
                if ($meets && $other->label === $first->label && ! in_array($id, $run, true)) {
                    $run[] = $id;
                    $nodes[$other->from] = $nodes[$other->to] = true;
                }
            }
        } while (count($run) > $before);

        return $run;
    }
}
