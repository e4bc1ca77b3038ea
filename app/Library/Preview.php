<?php

declare(strict_types=1);

namespace App\Library;

use App\Elevation\Picture;
use Aqbel\Core\Circuit\Advice;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Flow\PortRun;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;

/** The drawing and the predictions for a circuit that is being edited. */
final readonly class Preview
{
    private const SHOWN_POCKETS = 3;

    private Drainage $drainage;

    private Filling $filling;

    public function __construct(public Circuit $circuit, private UnitSystem $units)
    {
        $bleeds = $circuit->portIds(PortKind::Bleed);
        $this->drainage = Drainage::of(
            $circuit,
            $circuit->portIds(PortKind::Drain),
            $circuit->usualGates(),
            airOpen: $bleeds,
        );
        $this->filling = Filling::of($circuit, $circuit->fillPort()->id, $bleeds, $circuit->usualGates());
    }

    public function picture(): Picture
    {
        $notes = [];
        foreach ($this->drainage->drains as $drain) {
            $notes[$drain->port] = 'lets out '.$this->volume($drain->volumeMl);
        }
        $pockets = array_slice($this->filling->pockets, 0, self::SHOWN_POCKETS);

        return new Picture(
            $this->circuit,
            $this->filling->runs,
            pockets: $pockets,
            notes: $notes,
            units: $this->units,
            editable: true,
        );
    }

    /** @return list<InvalidField> */
    public function advice(): array
    {
        return Advice::on($this->circuit);
    }

    public function capacity(): string
    {
        return $this->volume($this->circuit->capacityMl());
    }

    /** @return list<array{string, string}> */
    public function facts(): array
    {
        $drains = [];
        foreach ($this->drainage->drains as $drain) {
            $drains[] = ["{$this->circuit->ports[$drain->port]->label} lets out", $this->volume($drain->volumeMl)];
        }
        $order = array_map(fn (PortRun $flow) => $this->circuit->ports[$flow->port]->label, $this->filling->flows);

        return [
            ...$drains,
            ['Stays inside', $this->volume($this->drainage->retainedMl)],
            ['Air after a gravity fill', $this->volume($this->filling->airMl)],
            ['Bleed points run in this order', $order === [] ? 'none runs' : implode(', ', $order)],
        ];
    }

    private function volume(float $ml): string
    {
        return $this->units->format(max(0.0, $ml), Dimension::Volume);
    }
}
