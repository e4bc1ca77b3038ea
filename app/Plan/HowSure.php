<?php

declare(strict_types=1);

namespace App\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Plan\Ranges;
use Aqbel\Core\Plan\Settling;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Range;
use Aqbel\Core\Quantity\UnitSystem;

/** How sure a plan is of its volumes, in the reader's units, and what to measure to be surer. */
final readonly class HowSure
{
    public function __construct(private Circuit $circuit, private Ranges $ranges, private UnitSystem $units)
    {
    }

    /** @return list<array{string, string}> name, and from where to where; what is known well is not among them */
    public function rows(): array
    {
        $rows = [['Air that stays', $this->ranges->airMl], ['Stays inside after the drain', $this->ranges->retainedMl]];
        foreach ($this->ranges->drains as $drain) {
            $rows[] = ["{$this->circuit->ports[$drain->port]->label} lets out", $drain->ml];
        }

        return array_values(array_map(
            fn (array $row): array => [$row[0], $this->fromTo($row[1])],
            array_filter($rows, fn (array $row): bool => $row[1]->isWide() && $this->fromTo($row[1]) !== $this->volume($row[1]->value)),
        ));
    }

    public function orderIsSure(): bool
    {
        return $this->ranges->orderSure;
    }

    /** What to measure, where it is worth the walk. */
    public function settling(): ?Settling
    {
        $most = $this->ranges->settlesMost;

        return $most !== null && $most->isWorthIt($this->circuit) ? $most : null;
    }

    /** "the height of “heater upper pipe”, now 930 mm". */
    public function what(Settling $most): string
    {
        if ($most->node !== null) {
            $node = $this->circuit->nodes[$most->node];

            return "the height of “{$node->label}” above the floor, now {$this->units->format($node->zMm, Dimension::Length)}";
        }
        $passage = $this->circuit->passages[(string) $most->passage];

        return "what “{$passage->label}” holds, now {$this->volume($passage->volumeMl)}";
    }

    public function gain(Settling $most): string
    {
        return "Then the air is known within {$this->volume($most->thenMl)} instead of {$this->volume($most->spanMl)}.";
    }

    /** The unit that is meant where only a number is typed. */
    public function unit(Settling $most): string
    {
        return $this->units->unit($most->node === null ? Dimension::Volume : Dimension::Length)->value;
    }

    private function fromTo(Range $range): string
    {
        return $this->volume($range->low) === $this->volume($range->high)
            ? $this->volume($range->low)
            : "{$this->volume($range->low)} to {$this->volume($range->high)}";
    }

    private function volume(float $ml): string
    {
        return $this->units->format($ml, Dimension::Volume);
    }
}
