<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Cool;

use Aqbel\Core\Circuit\NeckType;
use Aqbel\Core\Heat\TopUpSeries;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Plan\HeatRound;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\RunHot\HeatCycle;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Steps\TopUp;
use Aqbel\Core\Values;

/** Stage 9: the neck opened cold, the level read and topped up, and the verdict on another heat cycle. */
final class ColdLevel extends StepKind
{
    public function name(): string
    {
        return 'cold_level';
    }

    protected function doing(): array
    {
        return [Does::OpensNeck, Does::MovesCoolant];
    }

    public function title(Situation $at): string
    {
        return $this->round($at) === null ? 'Cold level after the drive' : 'Cold level, cycle '.$this->round($at);
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
            $at->facts()->neck === NeckType::PressurisedTank
                ? 'Never above the mark in a pressure tank: draw the excess off.'
                : 'Recovery bottle to its cold mark, hose under the surface.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Scald];
    }

    public function forms(Situation $at): array
    {
        return $at->has('opened')
            ? [$this->toppedForm($at), self::levelForm()->aside(! $at->has('topped'))]
            : [self::openedForm()];
    }

    public function everyForm(Situation $at): array
    {
        return [self::openedForm(), $this->toppedForm($at), self::levelForm()];
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        if ($form === 'opened') {
            HotNeck::admitOpening($at, 'ect', (float) $values->number('ect'));
        }
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return $entry->form !== 'topped' ? []
            : [
                new Line(
                    'Topped up, cold',
                    $entry->number('volume') ?? 0.0,
                    self::plusMinusMl($at, $entry),
                    TopUp::fraction($at, $entry),
                ),
            ];
    }

    public function obstacles(Situation $at): array
    {
        $notOpened = HotNeck::wasSealed($at)
            ? Obstacle::never('not_opened_cold', 'Read the temperature and open the neck cold.')
            : Obstacle::missing('not_opened', 'Read the temperature at the neck.');

        return array_values(array_filter([
            $at->has('opened') ? null : $notOpened,
            $at->has('topped') ? null : Obstacle::missing('no_top_up', 'Record the top-up, zero included.'),
            $at->last('level')?->text('level') === 'mark'
                ? null
                : Obstacle::missing('not_at_mark', 'Bring the level to the mark and record it.'),
        ]));
    }

    public function figure(Situation $at): Figure
    {
        $series = $this->topUps($at);

        return new Figure('Topped up', $at->has('topped') ? $at->sum('topped', 'volume') : null, Unit::Millilitre, Origin::Measured,
            count($series) > 1 ? $series[count($series) - 2]->mL() : null, 'the time before');
    }

    public function judge(Situation $at): ?Verdict
    {
        if (! $at->has('topped')) {
            return null;
        }
        $series = new TopUpSeries($this->topUps($at));
        $unproven = $this->unproven($at);
        $last = $at->say($at->sum('topped', 'volume'), Unit::Millilitre);
        if ($series->converging() === false && ! $series->settled()) {
            return Verdict::stop(
                'not_air',
                'Not air',
                'The top-ups do not shrink. Look for a leak, and test for combustion gas before any more cycles.',
            );
        }
        if ($series->settled() && $unproven === '') {
            return Verdict::pass('settled', 'Settled', "{$last} is reading error. No further cycle.");
        }
        if ($this->round($at) === null) {
            return Verdict::wait(
                'working_out',
                'Working out',
                "{$last} after the drive: leftover air. One more look at the follow-up.",
            );
        }
        $remaining = $series->remaining();
        $so = $remaining === null
            ? "It took {$last}."
            : "Top-ups shrink; about {$at->say($remaining->mL(), Unit::Millilitre)} still to come.";

        return Verdict::wait(
            'another_cycle',
            'Another cycle',
            "{$so}{$unproven} Finish this step: the next heat cycle is added.",
        );
    }

    /** The next round, where none is planned any more. */
    public function orders(Situation $at): array
    {
        $next = (int) $this->round($at) + 1;
        $settled = $this->round($at) === null || ($this->judge($at)?->passes() ?? true);

        return $settled || isset($at->job->steps["heat_cycle:{$next}"]) ? [] : HeatRound::steps($next);
    }

    /** Rounds that were planned for air which has worked out. */
    public function needless(Situation $at): array
    {
        $round = $this->round($at);
        if ($round === null || $this->judge($at)?->passes() !== true) {
            return [];
        }
        $later = array_filter($at->job->steps, fn (Step $step) => $step->params->whole('round') > $round);
        $rounds = array_unique(array_map(fn (Step $step) => $step->params->whole('round'), $later));

        return array_merge(
            ...array_map(fn (int $n) => array_map(fn (Step $s) => $s->id, HeatRound::steps($n)), array_values($rounds)),
            ...[[]]
        );
    }

    private function round(Situation $at): ?int
    {
        return $at->step->params->has('round') ? $at->step->params->whole('round') : null;
    }

    /** @return list<Volume> of this and the cold levels before it */
    private function topUps(Situation $at): array
    {
        $series = [];
        foreach ($at->job->stepsOf($this->name()) as $step) {
            if ($at->seenFrom($step)->has('topped')) {
                $series[] = Volume::millilitres($at->seenFrom($step)->sum('topped', 'volume'));
            }
            if ($step->id === $at->step->id) {
                break;
            }
        }

        return $series;
    }

    /** What the heat cycle before left to be shown, in words; empty where it showed all. */
    private function unproven(Situation $at): string
    {
        $cycle = $this->round($at) === null ? null : $at->job->before($at->step, 'heat_cycle');
        if ($cycle === null || ! $at->seenFrom($cycle)->has('reading')) {
            return '';
        }
        $heat = new HeatCycle;

        return $heat->proven($at->seenFrom($cycle)) ? '' : ' '.($heat->judge($at->seenFrom($cycle))->reason ?? '');
    }

    private static function openedForm(): Form
    {
        return new Form('opened', 'Open the neck', [Field::temperature('ect', 'Coolant now')]);
    }

    private function toppedForm(Situation $at): Form
    {
        return new Form('topped', 'Record top-up', [
            ...$this->vesselFields($at, 'volume', 'Topped up', VesselUse::Measure),
            TopUp::liquidField($at),
        ]);
    }

    private static function levelForm(): Form
    {
        $levels = ['mark' => 'At the mark', 'below' => 'Below', 'above' => 'Above'];

        return new Form('level', 'Record level', [Field::choice('level', 'Level now', $levels, 'mark')]);
    }
}
