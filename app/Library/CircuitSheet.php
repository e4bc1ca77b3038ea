<?php

declare(strict_types=1);

namespace App\Library;

use App\Audit\Change;
use App\Elevation\Picture;
use App\Models\Circuit as Model;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Cover;
use Aqbel\Core\Circuit\Format\Inherited;
use Aqbel\Core\Circuit\Passage;
use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;

/** A circuit with the vehicle's facts, in the reader's units. */
final readonly class CircuitSheet
{
    public Circuit $circuit;

    public function __construct(public Model $model, private UnitSystem $units)
    {
        $this->circuit = $model->read();
    }

    /** @return list<Change> what somebody added that no lead has looked at */
    public function added(): array
    {
        $before = $this->model->waitsForALook() ? $this->model->lastLookedAt() : null;

        return $before === null ? [] : Changes::between($before->document, $this->model->document);
    }

    /** What came with its layout; null where somebody has looked at all of it. */
    public function inherited(): ?Inherited
    {
        $inherited = Inherited::of($this->model->document);

        return $inherited->isNothing() ? null : $inherited;
    }

    public function picture(): Picture
    {
        return new Picture($this->circuit, units: $this->units);
    }

    /** @return list<array{string, string}> */
    public function facts(): array
    {
        $facts = $this->circuit->facts;
        $known = fn (?float $value, Dimension $in): string => $value === null
            ? 'not known'
            : $this->units->format($value, $in);

        return [
            ['Capacity', $this->units->format($this->circuit->capacityMl(), Dimension::Volume)],
            ['Cap', $known($facts->capKpa, Dimension::Pressure)],
            ['Thermostat starts', $known($facts->thermostatStartC, Dimension::Temperature)],
            ['Thermostat full open', $known($facts->thermostatFullC, Dimension::Temperature)],
            ['Fan on', $known($facts->fanOnC, Dimension::Temperature)],
            ['Fan off', $known($facts->fanOffC, Dimension::Temperature)],
            ['Vehicle’s limit', $known($facts->limitC, Dimension::Temperature)],
            ['Coolant', "{$facts->base->label()}, {$facts->inhibitor}"],
            ['Cold level', $facts->coldLevel],
        ];
    }

    /** @return list<array{point: string, access: string, tool: string, torque: string, washer: string}> */
    public function points(): array
    {
        return array_values(array_map($this->point(...), $this->circuit->ports));
    }

    /** @return list<array{string, string, string}> part, what opening it uses up, its joint */
    public function openings(): array
    {
        $opening = array_filter($this->circuit->passages, fn (Passage $p) => $p->parts !== [] || $p->torqueNm !== null);
        $say = fn (Passage $p): array => [
            $p->label, $p->parts === [] ? '–' : implode(', ', $p->parts),
            $p->torqueNm === null ? 'clamp, or by feel' : $this->units->format($p->torqueNm, Dimension::Torque),
        ];

        return array_values(array_map($say, $opening));
    }

    /** @return list<array{string, string, string}> cover, how long it takes, when it goes back */
    public function covers(): array
    {
        $say = fn (Cover $c): array => [
            $c->label, round($c->minutes).' min', $c->neededToRun ? 'before the first start' : 'after the leak check',
        ];

        return array_values(array_map($say, $this->circuit->covers));
    }

    /** @return array{point: string, access: string, tool: string, torque: string, washer: string} */
    private function point(Port $port): array
    {
        $off = implode(
            ', ',
            array_map(fn (string $c) => mb_strtolower($this->circuit->covers[$c]->label), $port->behind),
        );
        $access = implode(
            '. ',
            array_filter(
                [$off === '' ? '' : "Off first: {$off}", $off === '' ? $port->access : ucfirst($port->access)],
            ),
        );
        $feel = $port->kind === PortKind::Fill ? '' : 'by feel';

        return [
            'point' => $port->label, 'access' => $access, 'tool' => $port->tool,
            'torque' => $port->torqueNm === null
                ? $feel
                : $this->units->format($port->torqueNm, Dimension::Torque), 'washer' => $port->washer,
        ];
    }
}
