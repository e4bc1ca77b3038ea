<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

use Aqbel\Core\InvalidField;

/** One vehicle's cooling circuit on its elevation model: nodes, passages between them, gates, ports and the vehicle's facts. */
final readonly class Circuit
{
    public const FORMAT = 'aqbel-circuit/1';

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
    }

    public function capacityMl(): float
    {
        return array_sum(array_map(fn (Passage $p) => $p->volumeMl, $this->passages));
    }

    /** @return list<Port> of one kind, in the circuit's own order */
    public function portsOf(string $kind): array
    {
        return array_values(array_filter($this->ports, fn (Port $p) => $p->kind === $kind));
    }

    public function fillPort(): Port
    {
        return $this->portsOf('fill')[0] ?? throw new InvalidField('ports', 'The circuit has no fill port. Add the neck where coolant is poured in.');
    }

    /** @throws InvalidField when there is no such port */
    public function port(string $id, string $field = 'port'): Port
    {
        return $this->ports[$id] ?? throw new InvalidField($field, "There is no port “{$id}” in this circuit. It has: ".implode(', ', array_keys($this->ports)).'.');
    }

    /** Height of a node above the floor with the front axle lifted: z′ = z + L·(1 + x/wheelbase). */
    public function heightMm(string $node, float $noseLiftMm = 0.0): float
    {
        $at = $this->nodes[$node];

        return $at->zMm + $noseLiftMm * (1.0 + $at->xMm / $this->wheelbaseMm);
    }

    /** @return list<string> gate ids of one kind */
    public function gatesOf(string $kind): array
    {
        return array_values(array_map(fn (Gate $g) => $g->id, array_filter($this->gates, fn (Gate $g) => $g->kind === $kind)));
    }
}
