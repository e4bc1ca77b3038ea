<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Circuit\Circuit;
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
     * @param  list<Pocket>  $pockets  of air, named in the margin
     * @param  array<string, string>  $notes  beside the ports in the legend
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
    ) {
        $say = fn (Pocket $pocket): PocketLabel => new PocketLabel(
            $units->format($pocket->volumeMl(), Dimension::Volume).' air',
            $pocket->air,
        );
        $this->drawing = new Drawing($circuit, $runs, $noseLiftMm, array_map($say, $pockets), $tall);
    }

    /** @return list<Mark> */
    public function marks(): array
    {
        $mark = fn (PlacedPort $placed): Mark => new Mark(
            $placed->port->id, $placed->number, $placed->port->kind, $placed->x, $placed->y, $placed->at, $placed->port->label,
            ($this->states[$placed->port->id] ?? null)
                ->value ?? '', $this->notes[$placed->port->id] ?? '', $placed->port->id === $this->focus,
        );

        return array_map($mark, $this->drawing->ports());
    }
}
