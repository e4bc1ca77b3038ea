<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Cool;

use Aqbel\Core\Circuit\NeckType;
use Aqbel\Core\Heat\TopUpVerdict;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\HeatRound;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Quantity\Unit;
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
        return [Does::OpensNeck, Does::MovesCoolant, Does::Guards];
    }

    public function title(Situation $at): string
    {
        return match (true) {
            $at->step->params->has('after') => 'Cold level after what came out',
            $this->round($at) === null => 'Cold level after the drive',
            default => 'Cold level, cycle '.$this->round($at),
        };
    }

    public function why(Situation $at): string
    {
        return 'Cooling drew coolant in where air was. What it takes now, against the time before, tells '
            .'whether it is air.';
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

    public function asks(Situation $at): array
    {
        return Form::offering($this->offered($at), $this->ever($at));
    }

    /** @return list<Form> */
    private function offered(Situation $at): array
    {
        return $this->isOpen($at)
            ? [$this->toppedForm($at), self::levelForm()->aside()]
            : [$this->toppedForm($at), self::openedForm()->aside()];
    }

    /** Read and opened in the same go as the cool-down before it. */
    public function atOnce(Situation $at): ?Form
    {
        return $at->entries() === [] ? $this->toppedForm($at) : null;
    }

    /** @return list<Form> */
    private function ever(Situation $at): array
    {
        return [self::openedForm(), $this->toppedForm($at, true), self::levelForm()];
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        $ect = $values->number('ect');
        if ($ect !== null) {
            HotNeck::admitOpening($at, 'ect', $ect);
        }
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return $entry->form === 'topped'
            ? [TopUp::line($at, $entry, 'Topped up, cold', self::plusMinusMl($at, $entry))]
            : [];
    }

    public function obstacles(Situation $at): array
    {
        $notOpened = HotNeck::wasSealed($at)
            ? Obstacle::never('not_opened_cold', 'Read the temperature and open the neck cold.')
            : Obstacle::missing('not_opened', 'Read the temperature at the neck.');

        return array_values(array_filter([
            $this->isOpen($at) ? null : $notOpened,
            $at->has('topped') ? null : Obstacle::missing('no_top_up', 'Record the top-up, zero included.'),
            self::levelOf($at->entries()) === 'mark'
                ? null
                : Obstacle::missing('not_at_mark', 'Bring the level to the mark and record it.'),
        ]));
    }

    public function figure(Situation $at): Figure
    {
        $series = TopUpSeries::each($at);
        $before = $series[count($series) - ($at->has('topped') ? 2 : 1)] ?? null;

        return new Figure(
            'Topped up',
            $at->has('topped') ? $at->sum('topped', 'volume') : null,
            Unit::Millilitre,
            Origin::Measured,
            $before?->ml,
            'the time before',
        );
    }

    public function judge(Situation $at): ?Verdict
    {
        if (! $at->has('topped')) {
            return null;
        }
        $series = TopUpSeries::of($at);
        $last = $at->say($at->sum('topped', 'volume'), Unit::Millilitre);
        if ($series->verdict === TopUpVerdict::Leak || $series->verdict === TopUpVerdict::Both) {
            $each = $at->say($series->leakMlPerCycle, Unit::Millilitre);

            return Verdict::stop('not_air', 'Not air', "About {$each} goes each time and does not shrink: no "
                .'cycle cures that.'
                .' Finish this step: the search for the leak comes next, with a test for combustion gas.');
        }
        $run = WhyStopped::runBefore($at);
        $unproven = $run === null ? $this->unproven($at) : 'The run before had to be stopped, so it proves nothing.';
        $settled = $series->verdict === TopUpVerdict::Settled;
        if ($settled && $unproven === '') {
            return Verdict::pass('settled', 'Settled', "{$last} is reading error. No further cycle.");
        }
        if ($this->round($at) === null && $run === null) {
            return Verdict::wait(
                'working_out',
                'Working out',
                "{$last}: leftover air. One more look at the follow-up.",
            );
        }
        $toCome = $at->say($series->stillToComeMl, Unit::Millilitre);
        $so = match (true) {
            $settled => "{$last} is reading error.",
            $series->verdict === TopUpVerdict::Air => "Top-ups shrink; about {$toCome} still to come.",
            default => "It took {$last}.",
        };

        return Verdict::wait(
            'another_cycle',
            'Another cycle',
            trim("{$so} {$unproven}").' Finish this step: the next heat cycle is added.',
        );
    }

    /** The next round, where none is planned any more; a leak is searched for instead of run again. */
    public function orders(Situation $at): array
    {
        $verdict = $this->judge($at)?->code;
        if ($verdict === 'not_air') {
            $id = "find_drip:{$at->step->id}";

            return isset($at->job->steps[$id]) ? [] : [new Step($id, 'find_drip', $at->step->stage)];
        }
        if ($verdict !== 'another_cycle') {
            return [];
        }
        $next = 1 + max([0, ...array_map(
            fn (Step $step) => $step->params->whole('round'),
            $at->job->stepsOf('heat_cycle'),
        )]);
        $round = $this->round($at);
        if ($round === null) {
            return [...HeatRound::steps($next, self::vent($at)), ...self::drivenAgain($next)];
        }

        return isset($at->job->steps['heat_cycle:'.($round + 1)]) ? [] : HeatRound::steps($next, self::vent($at));
    }

    /** The port that is cracked between the rounds; empty where none is. */
    private static function vent(Situation $at): string
    {
        $vents = $at->job->stepsOf('vent_between');

        return $vents === [] ? '' : $vents[0]->params->text('port');
    }

    /** @return list<Step> the drive once more, after a run that proves it may */
    private static function drivenAgain(int $round): array
    {
        return [
            new Step("drive:{$round}", 'drive', Stage::Prove),
            new Step("cool_down:drive:{$round}", 'cool_down', Stage::Prove),
            new Step("cold_level:drive:{$round}", 'cold_level', Stage::Prove),
        ];
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
            ...array_map(fn (int $n) => array_map(fn (Step $s) => $s->id, HeatRound::steps($n, self::vent($at))), array_values($rounds)),
            ...[[]]
        );
    }

    private function round(Situation $at): ?int
    {
        return $at->step->params->has('round') ? $at->step->params->whole('round') : null;
    }

    /** What the heat cycle before left to be shown, in words; empty where it showed all. */
    private function unproven(Situation $at): string
    {
        if (CoolDownWait::dripped($at)) {
            return 'It dripped underneath after that run.';
        }
        $cycle = $this->round($at) === null ? null : $at->job->before($at->step, 'heat_cycle');
        if ($cycle === null || ! $at->seenFrom($cycle)->has('reading')) {
            return '';
        }
        if (VentBetween::sawAir($at)) {
            return 'Air still came at the vent.';
        }
        $heat = new HeatCycle;

        return $heat->proven($at->seenFrom($cycle)) ? '' : $heat->judge($at->seenFrom($cycle))->reason ?? '';
    }

    private static function openedForm(): Form
    {
        return new Form('opened', 'Open the neck', [Field::coolant('ect', 'Coolant now')]);
    }

    /**
     * The neck opened, topped up and the level read, in one go.
     *
     * @param  bool  $asksAll  also the temperature, where the neck is open already
     */
    private function toppedForm(Situation $at, bool $asksAll = false): Form
    {
        [$volume, $vessel] = $this->vesselFields($at, 'volume', 'Topped up', VesselUse::Measure);
        $read = CoolDownWait::readJustNow($at);
        $ect = Field::coolant('ect', 'Coolant now');

        return new Form('topped', 'Record top-up and level', [
            match (true) {
                $asksAll => $ect->usuallySaid(),
                $this->isOpen($at) || CoolDownWait::wasColdUnread($at, $at->now) => null,
                default => $read === null ? $ect : $ect->preset($read),
            },
            $volume->usuallySaid(),
            $vessel->optional(),
            TopUp::liquidField($at),
            self::levelField()->optional(),
        ], closes: true);
    }

    private static function levelForm(): Form
    {
        return new Form('level', 'Record level', [self::levelField()], closes: true);
    }

    private static function levelField(): Field
    {
        return Field::choice('level', 'Level now', ['mark' => 'At the mark', 'below' => 'Below', 'above' => 'Above'], 'mark');
    }

    private function isOpen(Situation $at): bool
    {
        $known = fn (Entry $e): bool => $e->number('ect') !== null || CoolDownWait::wasColdUnread($at, $e->at);

        return $at->has('opened') || array_filter($at->entries('topped'), $known) !== [];
    }

    /** Where the level stood at the last of the cold levels, by the last entry that says it; null where none does. */
    public static function lastOf(JobState $job): ?string
    {
        $entries = array_map(fn (Step $step) => $job->entriesOf($step->id), $job->stepsOf('cold_level'));

        return self::levelOf(array_merge(...$entries, ...[[]]));
    }

    /** @param  list<Entry>  $entries */
    private static function levelOf(array $entries): ?string
    {
        $said = array_filter($entries, fn (Entry $entry) => $entry->text('level') !== '');

        return $said === [] ? null : $said[array_key_last($said)]->text('level');
    }
}
