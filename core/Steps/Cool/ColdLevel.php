<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Cool;

use Aqbel\Core\Heat\TopUpSeries;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Mix\MixCoolant;
use Aqbel\Core\Steps\RunHot\HeatCycle;
use Aqbel\Core\Steps\StepKind;

/** Stage 9: the neck opened cold, the level read and topped up, and the verdict on another heat cycle. */
final class ColdLevel extends StepKind
{
    public function name(): string
    {
        return 'cold_level';
    }

    public function title(Situation $at): string
    {
        return $at->param('round') === null ? 'Cold level after the drive' : 'Cold level, cycle '.$at->param('round');
    }

    public function why(Situation $at): string
    {
        return 'Cooling drew coolant in where air was. What it takes now, against the time before, tells whether it is air.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Level ground. Rag over the cap, to the first hiss, stop, wait, go on.',
            'Read the level against '.$at->facts()->coldLevel.', top up to it, read the jug.',
            $at->facts()->neck === 'pressurised_tank' ? 'Never above the mark in a pressure tank: draw the excess off.' : 'Recovery bottle to its cold mark, hose under the surface.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Scald];
    }

    public function forms(Situation $at): array
    {
        return $at->has('opened') ? [
            new Form('topped', 'Record top-up', [...$this->vesselFields($at, 'volume', 'Topped up', 'Measuring jug, 0.1 L marks'), MixCoolant::liquidField($at)]),
            new Form('level', 'Record level', [Field::choice('level', 'Level now', ['mark' => 'At the mark', 'below' => 'Below', 'above' => 'Above'], 'mark')], $at->has('topped')),
        ] : [new Form('opened', 'Open the neck', [Field::temperature('ect', 'Coolant now')])];
    }

    /** @param  array<string, mixed>  $values */
    public function admit(Situation $at, string $form, array $values): void
    {
        $safe = $at->rules()->safeTemperatureC;
        if ($form === 'opened' && $this->wasSealed($at) && $values['ect'] > $safe) {
            throw new InvalidField('ect', "Do not open it. The neck was sealed while warming and stands at {$at->degrees($values['ect'])}: it opens at {$at->degrees($safe)} or below. Wait and read again.");
        }
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return $entry->form !== 'topped' ? [] : [new Line('Topped up, cold', $entry->number('volume') ?? 0.0, $at->rules()->plusMinusMl($entry->text('vessel')), MixCoolant::liquidFraction($at, $entry))];
    }

    public function obstacles(Situation $at): array
    {
        $missing = [
            $at->has('opened') ? null : ($this->wasSealed($at) ? Obstacle::never('Read the temperature and open the neck cold.') : Obstacle::missing('Read the temperature at the neck.')),
            $at->has('topped') ? null : Obstacle::missing('Record the top-up, zero included.'),
            $at->last('level')?->text('level') === 'mark' ? null : Obstacle::missing('Bring the level to the mark and record it.'),
        ];

        return array_values(array_filter($missing));
    }

    public function figure(Situation $at): Figure
    {
        $series = $this->topUps($at);

        return new Figure('Topped up', $at->has('topped') ? $at->sum('topped', 'volume') : null, Unit::Millilitre, Figure::MEASURED,
            count($series) > 1 ? $series[count($series) - 2]->mL() : null, 'the time before');
    }

    public function judge(Situation $at): ?Verdict
    {
        if (! $at->has('topped')) {
            return null;
        }
        $series = new TopUpSeries($this->topUps($at));
        $heat = $this->cycle($at);
        $unproven = $heat !== null && ! (new HeatCycle)->proven($heat) ? ' '.((new HeatCycle)->judge($heat)->reason ?? '') : '';
        $last = $at->sum('topped', 'volume');
        if ($series->converging() === false && ! $series->settled()) {
            return Verdict::stop('Not air', 'The top-ups do not shrink. Look for a leak, and test for combustion gas before any more cycles.');
        }
        if ($series->settled() && $unproven === '') {
            return Verdict::pass('Settled', $at->say($last, Unit::Millilitre).' is reading error. No further cycle.');
        }
        if ($at->param('round') === null) {
            return Verdict::wait('Working out', $at->say($last, Unit::Millilitre).' after the drive: leftover air. One more look at the follow-up.');
        }
        $remaining = $series->remaining();

        return Verdict::wait('Another cycle', ($remaining === null ? "It took {$at->say($last, Unit::Millilitre)}." : "Top-ups shrink; about {$at->say($remaining->mL(), Unit::Millilitre)} still to come.").$unproven.' Finish this step: the next heat cycle is added.');
    }

    public function orders(Situation $at): array
    {
        $round = $at->param('round');
        $judgement = $this->judge($at);
        if ($round === null || $judgement === null || $judgement->passes()) {
            return [];
        }

        return self::round((int) $round + 1);
    }

    /**
     * A heat cycle with its cool-down and cold level.
     *
     * @return list<Step>
     */
    public static function round(int $round): array
    {
        return [
            new Step("heat_cycle:{$round}", 'heat_cycle', Stage::RunHot, ['round' => $round]),
            new Step("cool_down:{$round}", 'cool_down', Stage::Cool),
            new Step("cold_level:{$round}", 'cold_level', Stage::Cool, ['round' => $round]),
        ];
    }

    /** @return list<Volume> of this and the cold levels before it */
    private function topUps(Situation $at): array
    {
        $series = [];
        foreach ($at->job->stepsOf('cold_level') as $step) {
            if ($at->seenFrom($step)->has('topped')) {
                $series[] = Volume::millilitres($at->seenFrom($step)->sum('topped', 'volume'));
            }
            if ($step->id === $at->step->id) {
                break;
            }
        }

        return $series;
    }

    private function cycle(Situation $at): ?Situation
    {
        $cycle = $at->param('round') === null ? null : $at->job->before($at->step, 'heat_cycle');

        return $cycle === null || ! $at->seenFrom($cycle)->has('reading') ? null : $at->seenFrom($cycle);
    }

    /** Driven vehicles come back sealed; a cycle says how its neck stood. */
    private function wasSealed(Situation $at): bool
    {
        $cycle = $at->job->before($at->step, 'heat_cycle');

        return $at->param('round') === null || $cycle === null || (new HeatCycle)->neck($at->seenFrom($cycle)) === 'sealed';
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 4.0;
    }
}
