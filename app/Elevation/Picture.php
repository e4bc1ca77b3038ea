<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PartVolume;
use Aqbel\Core\Circuit\Volumes;
use Aqbel\Core\Flow\Pocket;
use Aqbel\Core\Flow\Runs;
use Aqbel\Core\Job\PortState;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;

/**
 * The side view of a circuit with what is to be seen in it: coolant and air, how each point stands, the point at
 * hand.
 */
final readonly class Picture
{
    public Drawing $drawing;

    /**
     * @param  ?Runs  $runs  null for a dry outline
     * @param  array<string, PortState>  $states  of ports
     * @param  list<Pocket>  $pockets  of predicted air, named in the margin
     * @param  list<PartVolume>  $air  that the sums tell, named in the margin
     * @param  array<string, string>  $notes  beside the ports in the legend
     * @param  list<string>  $open  ports through which air leaves just now
     * @param  ?string  $next  the one of them that coolant comes to next
     * @param  list<string>  $asked  nodes that are lit up one after the other
     */
    public function __construct(
        public Circuit $circuit,
        ?Runs $runs = null,
        float $noseLiftMm = 0.0,
        array $pockets = [],
        private array $states = [],
        private ?string $focus = null,
        private array $notes = [],
        UnitSystem $units = UnitSystem::Metric,
        public bool $editable = false,
        bool $tall = false,
        array $air = [],
        private array $asked = [],
        array $open = [],
        private ?string $next = null,
    ) {
        $say = fn (Pocket $pocket): PocketLabel => new PocketLabel(
            $units->format($pocket->volumeMl(), Dimension::Volume).' air',
            $pocket->air,
        );
        $sum = fn (PartVolume $part): PocketLabel => new PocketLabel(
            $units->format($part->ml, Dimension::Volume).' air by the sums',
            new Volumes([$part->part->passages[0] => $part->ml]),
        );
        $labels = [...array_map($say, $pockets), ...array_map($sum, $air)];
        $this->drawing = new Drawing($circuit, $runs, $noseLiftMm, $labels, $tall, $open);
    }

    /** @return array<string, array{float, float}> where the nodes stand that are asked for */
    public function asked(): array
    {
        return $this->asked === [] ? [] : array_intersect_key($this->drawing->nodes(), array_flip($this->asked));
    }

    /** @return list<Mark> */
    public function marks(): array
    {
        $mark = fn (PlacedPort $placed): Mark => new Mark(
            $placed->port->id,
            $placed->number,
            $placed->port->kind,
            $placed->x,
            $placed->y,
            $placed->at,
            $placed->port->label,
            ($this->states[$placed->port->id] ?? null)->value ?? '',
            $this->notes[$placed->port->id] ?? '',
            $placed->port->id === $this->focus,
            $placed->port->id === $this->next,
        );

        return array_map($mark, $this->drawing->ports);
    }
}
