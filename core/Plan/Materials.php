<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Cover;
use Aqbel\Core\Circuit\Passage;
use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Stores\Shopping;

/** Parts, covers and joints of one plan, from the circuit's own data: what to have at hand, and what to close again. */
final readonly class Materials
{
    public function __construct(private Circuit $circuit, private Choices $input)
    {
    }

    /**
     * What is laid out before anything is opened.
     *
     * @param  array<string, mixed>  $predicted  of the plan
     * @return array<string, string> by item name
     */
    public function toGather(array $predicted, UnitSystem $units): array
    {
        $items = [];
        $stock = $this->input->stockFraction < 1.0 ? 'premix '.round($this->input->stockFraction * 100).' %' : 'concentrate';
        $withSpare = fn (float $ml): string => $units->format(ceil($ml * Shopping::SPARE / 100.0) * 100.0, Dimension::Volume);
        if ($predicted['concentrate_ml'] > 1.0) {
            $items['concentrate'] = "{$this->circuit->facts->base->label()} {$stock}, {$this->circuit->facts->inhibitor}: {$withSpare($predicted['concentrate_ml'])} with 15 % spare";
        }
        if ($predicted['water_ml'] > 1.0) {
            $items['water'] = "Distilled or deionised water: {$withSpare($predicted['water_ml'])}";
        }
        if ($items === []) {
            $items['topping'] = 'A litre of mixed coolant for topping up, the family the manual names';
        }
        $items['vessels'] = $this->input->drains === [] ? 'Measuring jug, rags' : 'Graduated pans for the drain, jug and bucket, kept apart';
        foreach ($this->parts() as $name => $part) {
            $items["part_{$name}"] = $part;
        }
        foreach ($this->covers() as $cover) {
            $items["cover_{$cover->id}"] = "Clips and screws kept for: {$cover->label}";
        }

        return $items + ($this->input->school === Choices::VACUUM
            ? ['filler' => 'Vacuum filler with the adapter for this neck, compressed air']
            : ['rags' => 'Rags and a small vessel for each bleed point'] + ($this->input->headMm > 0.0 ? ['funnel' => 'High funnel with the adapter for this neck, stopper'] : []));
    }

    /**
     * What opening the parts and the points uses up.
     *
     * @return array<string, string> by name
     */
    public function parts(): array
    {
        $parts = [];
        foreach ($this->circuit->ports as $port) {
            if ($port->washer !== '' && ($port->kind === 'bleed' ? in_array($port->id, $this->input->bleedsOf($this->circuit), true) : in_array($port->id, $this->input->drains, true))) {
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
        foreach ([...$this->openedPassages(), ...$this->portsUsed()] as $one) {
            foreach ($one->behind as $cover) {
                $off[$cover] = $this->circuit->covers[$cover];
            }
        }

        return array_values($off);
    }

    /**
     * Joints and drains to be closed after the work, with torque, and the covers that are not in the way of the fill.
     *
     * @return array<string, string> by item name
     */
    public function toCloseUp(UnitSystem $units): array
    {
        $items = [];
        foreach ($this->openedPassages() as $passage) {
            $items["joint_{$passage->id}"] = ($passage->torqueNm === null ? "{$passage->label}: clamps on their marks" : "{$passage->label}: joint at {$units->format($passage->torqueNm, Dimension::Torque)}").($passage->parts === [] ? '' : ', '.implode(', ', $passage->parts));
        }
        foreach ($this->circuit->gates as $gate) {
            if ($gate->kind === 'thermostat' && in_array($gate->passage, $this->input->opened, true)) {
                $items['thermostat'] = 'Thermostat: spring toward the engine, '.($gate->weeps ? 'jiggle pin at the top, ' : '').'new gasket';
            }
        }
        foreach ($this->input->drains as $id) {
            $port = $this->circuit->ports[$id];
            $items["drain_{$id}"] = "{$port->label} shut and dry".($port->torqueNm === null ? ', by feel' : ", {$units->format($port->torqueNm, Dimension::Torque)}").($port->washer === '' ? '' : ", {$port->washer}");
        }
        foreach ($this->backBeforeFill() as $cover) {
            $items["cover_{$cover->id}"] = "Back: {$cover->label}, needed to run";
        }

        return $items;
    }

    /** @return array<string, string> covers that had to wait for the bleed points, back before the first start */
    public function toRefitBeforeStart(): array
    {
        return self::back(array_filter($this->covers(), fn (Cover $c) => $c->neededToRun && ! in_array($c, $this->backBeforeFill(), false)));
    }

    /** @return array<string, string> covers that may wait until the leak check has been passed */
    public function toRefitAtTheEnd(): array
    {
        return self::back(array_filter($this->covers(), fn (Cover $c) => ! $c->neededToRun));
    }

    /** @return list<Cover> needed to run, and not in the way of a bleed point */
    private function backBeforeFill(): array
    {
        $waiting = [];
        foreach ($this->input->school === Choices::VACUUM ? [] : $this->input->bleedsOf($this->circuit) as $bleed) {
            $waiting = [...$waiting, ...$this->circuit->ports[$bleed]->behind];
        }

        return array_values(array_filter($this->covers(), fn (Cover $c) => $c->neededToRun && ! in_array($c->id, $waiting, true)));
    }

    /**
     * @param  array<Cover>  $covers
     * @return array<string, string>
     */
    private static function back(array $covers): array
    {
        return array_combine(array_map(fn (Cover $c) => "cover_{$c->id}", $covers), array_map(fn (Cover $c) => "Back: {$c->label}", $covers));
    }

    /** @return list<Passage> each part once, though the model runs it as several passages */
    private function openedPassages(): array
    {
        $parts = [];
        foreach ($this->input->opened as $id) {
            $parts[$this->circuit->passages[$id]->label] ??= $this->circuit->passages[$id];
        }

        return array_values($parts);
    }

    /** @return list<Port> */
    private function portsUsed(): array
    {
        $ids = [...$this->input->drains, ...($this->input->school === Choices::VACUUM ? [] : $this->input->bleedsOf($this->circuit))];

        return array_map(fn (string $id) => $this->circuit->ports[$id], $ids);
    }
}
