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
    public function __construct(
        private Circuit $circuit,
        private Ranges $ranges,
        private UnitSystem $units,
        private ?string $asksFor = null,
    ) {
    }

    /** @return list<array{string, string}> name, and from where to where; what is known well is not among them */
    public function rows(): array
    {
        $rows = [['Air that stays', $this->ranges->airMl], ['Stays inside after the drain', $this->ranges->retainedMl]];
        foreach ($this->ranges->drains as $drain) {
            $rows[] = ["{$this->circuit->ports[$drain->port]->label} lets out", $drain->ml];
        }

        return array_values(
            array_map(
                fn (array $row): array => [$row[0], $this->fromTo($row[1])],
                array_filter(
                    $rows,
                    fn (array $row): bool => $row[1]->isWide()
                        && $this->fromTo($row[1]) !== $this->volume($row[1]->value),
                ),
            ),
        );
    }

    public function orderIsSure(): bool
    {
        return $this->ranges->orderSure;
    }

    /** @return list<ToMeasure> what a lead asks for, then what settles most, where it is worth the walk */
    public function toMeasure(): array
    {
        $asked = match (true) {
            $this->asksFor === null => [],
            isset($this->circuit->nodes[$this->asksFor]) => [
                $this->measure($this->asksFor, null, 'Asked for, because jobs say it is another:', ''),
            ],
            isset($this->circuit->passages[$this->asksFor]) => [
                $this->measure(null, $this->asksFor, 'Asked for, because jobs say it is another:', ''),
            ],
            default => [],
        };
        $most = $this->ranges->settlesMost;
        $isWorthIt = $most !== null
            && $most->isWorthIt($this->circuit)
            && ($most->node ?? ($most->gate ?? $most->passage)) !== $this->asksFor;

        return match (true) {
            ! $isWorthIt => $asked,
            $most->gate !== null => [...$asked, $this->look($most->gate, $this->gain($most))],
            default => [
                ...$asked,
                $this->measure($most->node, $most->passage, 'One measurement settles most:', $this->gain($most)),
            ],
        };
    }

    /** "the height of “heater upper pipe”, now 930 mm". */
    private function measure(?string $node, ?string $passage, string $why, string $gain): ToMeasure
    {
        $what = match (true) {
            $node !== null => "the height of “{$this->circuit->nodes[$node]->label}” above the floor, "
                ."now {$this->units->format($this->circuit->nodes[$node]->zMm, Dimension::Length)}.",
            default => "what “{$this->circuit->passages[(string) $passage]->label}” holds, "
                ."now {$this->volume($this->circuit->passages[(string) $passage]->volumeMl)}.",
        };

        return new ToMeasure(
            $node,
            $passage,
            null,
            $why,
            $what,
            $gain,
            $this->units->unit($node === null ? Dimension::Volume : Dimension::Length)->value,
        );
    }

    /** “Thermostat” lets air by while shut? */
    private function look(string $gate, string $gain): ToMeasure
    {
        $taken = $this->circuit->gates[$gate]->weeps
            ? 'Taken as usual: it does.'
            : 'Taken as the layout has it: it does not.';

        return new ToMeasure(
            null,
            null,
            $gate,
            'One look settles most:',
            "whether “{$this->circuit->gates[$gate]->label}” lets air by while it is shut: "
                ."a pin, a notch or a hole in its rim, or a bypass beside it. {$taken}",
            $gain,
            '',
        );
    }

    private function gain(Settling $most): string
    {
        return "Then the air is known within {$this->volume($most->thenMl)} instead of {$this->volume($most->spanMl)}.";
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
