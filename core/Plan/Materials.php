<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Cover;
use Aqbel\Core\Circuit\GateKind;
use Aqbel\Core\Circuit\Passage;
use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Stores\Shopping;

/** Parts, covers and joints of one plan, from the circuit's own data: what to have at hand, and what to close again. */
final readonly class Materials
{
    /** @var list<string> bleed points the school opens */
    private array $bleeds;

    public function __construct(private Circuit $circuit, private Choices $choices, private School $school)
    {
        $this->bleeds = $school->bleeds($circuit, $choices);
    }

    /**
     * What is laid out before anything is opened.
     *
     * @return array<string, string> by item code
     */
    public function toGather(Prediction $predicted, UnitSystem $units): array
    {
        $items = [];
        $facts = $this->circuit->facts;
        $stock = $this->choices->stockFraction < 1.0
            ? 'premix '.round($this->choices->stockFraction * 100).' %'
            : 'concentrate';
        $withSpare = fn (float $ml): string => $units->format(
            ceil($ml * Shopping::SPARE / 100.0) * 100.0,
            Dimension::Volume,
        );
        if ($predicted->stockMl > 1.0) {
            $spare = round(100.0 * (Shopping::SPARE - 1.0));
            $items['concentrate'] = "{$facts->base->label()} {$stock}"
                .($facts->inhibitor === '' ? '' : ", {$facts->inhibitor}")
                .": {$withSpare($predicted->stockMl)} with {$spare} % spare";
        }
        if ($predicted->waterMl > 1.0) {
            $items['water'] = "Distilled or deionised water: {$withSpare($predicted->waterMl)}";
        }
        if ($items === []) {
            $items['topping'] = ($units === UnitSystem::UsCustomary ? 'A quart' : 'A litre')
                .' of mixed coolant for topping up, the family the manual names';
        }
        $items['vessels'] = $this->choices->drains === []
            ? 'Measuring jug, rags'
            : 'Graduated pans for the drain, jug and bucket, kept apart';
        foreach ($this->parts() as $code => $part) {
            $items["part_{$code}"] = $part;
        }
        foreach ($this->covers() as $cover) {
            $items["cover_{$cover->id}"] = "Clips and screws kept for: {$cover->label}";
        }

        return $items + $this->school->needs($this->circuit, $this->choices);
    }

    /**
     * What opening the parts and the points uses up.
     *
     * @return array<string, string> by code
     */
    public function parts(): array
    {
        $parts = [];
        $opened = fn (Port $port): bool => in_array(
            $port->id,
            $port->kind === PortKind::Bleed ? $this->choices->bleedsOf($this->circuit) : $this->choices->drains,
            true,
        );
        foreach ($this->circuit->ports as $port) {
            if ($port->washer !== '' && $opened($port)) {
                $parts["washer_{$port->id}"] = "{$port->label}: {$port->washer}";
            }
        }
        foreach ($this->openedPassages() as $passage) {
            if ($passage->parts !== []) {
                $parts["joint_{$passage->id}"] = "{$passage->label}: ".implode(', ', $passage->parts);
            }
        }

        return $parts;
    }

    /** @return list<Cover> all that come off for this plan */
    public function covers(): array
    {
        $off = [];
        $ports = array_map(
            fn (string $id) => $this->circuit->ports[$id],
            [...$this->choices->drains, ...$this->bleeds],
        );
        foreach ([...$this->openedPassages(), ...$ports] as $one) {
            foreach ($one->behind as $cover) {
                $off[$cover] = $this->circuit->covers[$cover];
            }
        }

        return array_values($off);
    }

    /**
     * Joints and drains to be closed after the work, with torque, and the covers that are not in the way of the fill.
     *
     * @return array<string, string> by item code
     */
    public function toCloseUp(UnitSystem $units): array
    {
        $items = [];
        $torque = fn (float $nm): string => $units->format($nm, Dimension::Torque);
        foreach ($this->openedPassages() as $passage) {
            $joint = $passage->torqueNm === null ? 'clamps on their marks' : "joint at {$torque($passage->torqueNm)}";
            $items["joint_{$passage->id}"] = implode(', ', ["{$passage->label}: {$joint}", ...$passage->parts]);
        }
        foreach ($this->circuit->gates as $gate) {
            if ($gate->kind === GateKind::Thermostat && in_array($gate->passage, $this->choices->opened, true)) {
                $items['thermostat'] = 'Thermostat: spring toward the engine, '.(
                    $gate->weeps ? 'jiggle pin'.($gate->sure ? '' : ', if it has one,').' at the top, ' : ''
                ).'new gasket';
            }
        }
        foreach ($this->choices->drains as $id) {
            $items += $this->drainShut($this->circuit->ports[$id], $units);
        }
        foreach ($this->backBeforeFill() as $cover) {
            $items["cover_{$cover->id}"] = "Back: {$cover->label}, needed to run";
        }

        return $items;
    }

    /** @return array<string, string> one drain point that was opened, by item code */
    public function drainShut(Port $port, UnitSystem $units): array
    {
        $how = $port->torqueNm === null ? 'by feel' : $units->format($port->torqueNm, Dimension::Torque);

        return [
            "drain_{$port->id}" => implode(', ', array_filter(["{$port->label} shut and dry", $how, $port->washer])),
        ];
    }

    /** @return list<string> covers that had to wait for the bleed points, back before the first start */
    public function toRefitBeforeStart(): array
    {
        $back = array_map(fn (Cover $c) => $c->id, $this->backBeforeFill());

        return self::ids(
            array_filter($this->covers(), fn (Cover $c) => $c->neededToRun && ! in_array($c->id, $back, true)),
        );
    }

    /** @return list<string> covers that may wait until the leak check has been passed */
    public function toRefitAtTheEnd(): array
    {
        return self::ids(array_filter($this->covers(), fn (Cover $c) => ! $c->neededToRun));
    }

    /** @return list<Cover> needed to run, and not in the way of a bleed point */
    private function backBeforeFill(): array
    {
        $waiting = array_merge(
            ...array_map(fn (string $bleed) => $this->circuit->ports[$bleed]->behind, $this->bleeds),
            ...[[]]
        );

        return array_values(
            array_filter($this->covers(), fn (Cover $c) => $c->neededToRun && ! in_array($c->id, $waiting, true)),
        );
    }

    /**
     * @param  array<Cover>  $covers
     * @return list<string>
     */
    private static function ids(array $covers): array
    {
        return array_values(array_map(fn (Cover $c) => $c->id, $covers));
    }

    /** @return list<Passage> each part once, though the model runs it as several passages */
    private function openedPassages(): array
    {
        $opened = [];
        foreach ($this->choices->opened as $id) {
            $part = $this->circuit->partOf($id)->id;
            $opened[$part] ??= $this->circuit->passages[$id];
        }

        return array_values($opened);
    }
}
