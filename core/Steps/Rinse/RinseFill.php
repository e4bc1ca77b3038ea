<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Rinse;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Steps\StepKind;

/** Stage 3: water, or cleaner, for one rinse cycle. A cycle is fill, warm-up, cool-down and drain, each a step. */
final class RinseFill extends StepKind
{
    public const WATER = 'water';

    public const CLEANER = 'cleaner';

    public function name(): string
    {
        return 'rinse_fill';
    }

    public function title(Situation $at): string
    {
        return "Rinse {$at->param('cycle')}: ".($at->param('with') === self::CLEANER ? 'cleaner in' : 'water in');
    }

    public function why(Situation $at): string
    {
        return $at->param('with') === self::CLEANER
            ? 'The loose dirt is out; the cleaner takes what sticks. Its label says how much and how long.'
            : 'Water takes up what stayed inside; the drain then leaves only its share of the mixture.';
    }

    public function instructions(Situation $at): array
    {
        return array_values(array_filter([
            'Drains shut, heater full hot, bleed points open until they run.',
            $at->param('with') === self::CLEANER ? 'Cleaner by its label first, then water to the mark.' : 'Water to the mark.',
            $at->param('rest') === [] ? 'This is the last one: distilled or deionised water, condensate is doubtful.' : null,
            'Write down all of it; it counts in the mixture.',
        ]));
    }

    public function forms(Situation $at): array
    {
        return [new Form('water_in', 'Record water in', [
            ...$this->vesselFields($at, 'volume', 'Poured in', 'Mixing bucket, 0.25 L marks'),
            Field::choice('water', 'It is', ['tap' => 'Tap water', 'pure' => 'Distilled or deionised', 'cleaner' => 'With cleaner'], match (true) {
                $at->param('with') === self::CLEANER => 'cleaner', $at->param('rest') === [] => 'pure', default => 'tap'
            }),
        ])];
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return [new Line('Rinse water in', $entry->number('volume') ?? 0.0, $at->rules()->plusMinusMl($entry->text('vessel')), 0.0)];
    }

    public function obstacles(Situation $at): array
    {
        return $at->has('water_in') ? [] : [Obstacle::missing('Record the water that went in.')];
    }

    public function figure(Situation $at): Figure
    {
        $ledger = $at->job->ledgerBefore(Stage::CloseUp);

        return new Figure('Gone in', $at->sum('water_in', 'volume'), Dimension::Volume, Figure::MEASURED, max(0.0, $ledger->capacityMl - $ledger->headspaceMl - $ledger->contentMl + $at->sum('water_in', 'volume')), 'room for');
    }

    /**
     * The first of the cycles; the drain at its end orders the next.
     *
     * @param  list<string>  $with  WATER or CLEANER, one for each cycle still to come
     * @return list<Step>
     */
    public static function cycle(Situation $at, array $with): array
    {
        $n = 1 + count($at->job->stepsOf('rinse_fill'));
        $about = ['cycle' => $n, 'with' => $with[0], 'rest' => array_slice($with, 1)];

        return [
            new Step("rinse_fill:{$n}", 'rinse_fill', Stage::Rinse, $about),
            new Step("rinse_run:{$n}", 'rinse_run', Stage::Rinse, $about),
            new Step("cool_down:rinse{$n}", 'cool_down', Stage::Rinse),
            new Step("rinse_drain:{$n}", 'rinse_drain', Stage::Rinse, $about),
        ];
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 8.0;
    }
}
