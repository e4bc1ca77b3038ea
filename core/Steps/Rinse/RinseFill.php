<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Rinse;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Steps\StepKind;

/** Stage 3: water, or cleaner, for one rinse cycle. A cycle is fill, warm-up, cool-down and drain, each a step. */
final class RinseFill extends StepKind
{
    public function name(): string
    {
        return 'rinse_fill';
    }

    protected function doing(): array
    {
        return [Does::MovesCoolant];
    }

    public function title(Situation $at): string
    {
        return "Rinse {$at->step->params->whole('cycle')}: ".($this->withCleaner($at) ? 'cleaner in' : 'water in');
    }

    public function why(Situation $at): string
    {
        return $this->withCleaner($at)
            ? 'The loose dirt is out; the cleaner takes what sticks. Its label says how much and how long.'
            : 'Water takes up what stayed inside; the drain then leaves only its share of the mixture.';
    }

    public function instructions(Situation $at): array
    {
        return array_values(array_filter([
            'Drains shut'.($at->circuit()->hasHeater() ? ', heater full hot' : '').($at->circuit()->hasBleedPoints() ? ', bleed points open until they run.' : '.'),
            $this->withCleaner($at) ? 'Cleaner by its label first, then water to the mark.' : 'Water to the mark.',
            $this->isLast($at) ? 'This is the last one: distilled or deionised water, condensate is doubtful.' : null,
            'Write down all of it; it counts in the mixture.',
        ]));
    }

    public function asks(Situation $at): array
    {
        $likely = match (true) {
            $this->withCleaner($at) => 'cleaner',
            $this->isLast($at) => 'pure',
            default => 'tap',
        };

        return [new Form('water_in', 'Record water in', [
            ...$this->vesselFields($at, 'volume', 'Poured in', VesselUse::Mix),
            Field::choice(
                'water',
                'It is',
                ['tap' => 'Tap water', 'pure' => 'Distilled or deionised', 'cleaner' => 'With cleaner'],
                $likely,
            ),
        ])];
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return RinseWater::lines($entry, self::plusMinusMl($at, $entry));
    }

    public function obstacles(Situation $at): array
    {
        return $at->has('water_in') ? [] : [Obstacle::missing('no_volume', 'Record the water that went in.')];
    }

    public function figure(Situation $at): Figure
    {
        $ledger = $at->job->ledgerBefore(Stage::CloseUp);
        $in = $at->sum('water_in', 'volume');
        $room = max(0.0, $ledger->capacityMl - $ledger->headspaceMl - $ledger->contentMl + $in);

        return new Figure('In so far', $in, Dimension::Volume, Origin::Measured, $room, 'room for');
    }

    private function withCleaner(Situation $at): bool
    {
        return $at->step->params->text('with') === RinsePart::CLEANER;
    }

    private function isLast(Situation $at): bool
    {
        return RinsePart::rest($at->step) === [];
    }
}
