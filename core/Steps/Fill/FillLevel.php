<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Fill;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Mix\MixCoolant;

/** Stage 6: up to the cold starting level, and what it means if it took less than predicted. */
final class FillLevel extends Poured
{
    public function name(): string
    {
        return 'fill_level';
    }

    public function title(Situation $at): string
    {
        return 'Fill to '.$at->facts()->coldLevel;
    }

    public function why(Situation $at): string
    {
        return 'What the circuit refuses is air: accepted against predicted tells how much, and the model where.';
    }

    public function instructions(Situation $at): array
    {
        return array_values(array_filter([
            'All bleed points closed. Fill to '.$at->facts()->coldLevel.'.',
            $at->facts()->neck === 'radiator_cap' ? 'Fill the recovery bottle to its cold mark too, its hose under the surface, or the circuit draws air when it cools.' : null,
            'Read what was caught at bleed points and what is left in jug, hose and funnel; it was poured but is not inside.',
        ]));
    }

    public function forms(Situation $at): array
    {
        return [
            $this->pourForm($at),
            new Form('returned', 'Record caught or left over', [Field::volume('caught', 'Caught at bleed points', 20_000), Field::volume('left', 'Left in funnel and hose', 20_000), Field::volume('spilt', 'In the rags, estimated', 5_000)], false),
            new Form('at_mark', 'Level stands at the mark', [], false),
        ];
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        if ($entry->form !== 'returned') {
            return parent::ledger($at, $entry);
        }
        $fraction = MixCoolant::batchFraction($at) ?? $at->job->plan->input->targetFraction;
        $spilt = $entry->number('spilt') ?? 0.0;

        return [
            new Line('Caught and left over', -($entry->number('caught') + $entry->number('left')), 50.0, $fraction),
            new Line('In the rags', -$spilt, $spilt / 2.0, $fraction),
        ];
    }

    public function obstacles(Situation $at): array
    {
        return array_values(array_filter([
            $at->has('returned') ? null : Obstacle::missing('Record what was caught and left over, zero included.'),
            $at->has('at_mark') ? null : Obstacle::missing('The level has not been seen at the mark.'),
        ]));
    }

    public function judge(Situation $at): ?Verdict
    {
        if (! $at->has('at_mark')) {
            return null;
        }
        $ledger = $at->job->ledger();
        $air = $ledger->trappedAirMl();
        $text = "{$at->litres($this->netIn($at))} in, {$at->litres($this->expected($at))} predicted. Air left inside: ".$at->say($air, Dimension::Volume).' ± '.$at->litres($ledger->trappedAirPlusMinusMl()).'.';
        $pocket = $at->job->plan->predicted['fill']['pockets'][0]['label'] ?? null;

        return $air <= max(0.03 * $ledger->capacityMl, $ledger->trappedAirPlusMinusMl())
            ? Verdict::pass('Accepted as predicted', $text)
            : Verdict::wait('Air is trapped', $text.($pocket === null ? '' : " Most likely at: {$pocket}.").' The heat cycles must bring it out.');
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 6.0;
    }
}
