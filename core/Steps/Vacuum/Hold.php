<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Vacuum;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Job\WatchedBy;
use Aqbel\Core\Judged\Gauge;
use Aqbel\Core\Judged\VacuumHeld;
use Aqbel\Core\Observed\HoldLengthSet;
use Aqbel\Core\Observed\HoldRestarted;
use Aqbel\Core\Observed\NeedleRead;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Minutes;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Trace;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Vacuum\HoldVerdict;
use Aqbel\Core\Vacuum\VacuumHold;
use Aqbel\Core\Values;

/** Stage 7: the hold test, by repeated readings, short or long. */
final class Hold extends StepKind
{
    public function name(): string
    {
        return 'hold';
    }

    protected function doing(): array
    {
        return [Does::LoadsJoints, Does::Guards];
    }

    public function watchedBy(): WatchedBy
    {
        return WatchedBy::VacuumGauge;
    }

    public function title(Situation $at): string
    {
        return 'Hold the vacuum';
    }

    public function why(Situation $at): string
    {
        $rules = Plan::of($at)->rules();
        $shows = fn (float $minutes): string => $at->amount(
            Gauge::resolution($at)->kPa() * VacuumHeld::voidMl($at) / (
                Gauge::air($at)->pressure->kPa() * $minutes
            ),
        );

        return "A leak falls in a straight line, settling bends and stands. On this gauge {$rules->glanceMinutes} "
            .'min show leaks from'
            ." {$shows($rules->glanceMinutes)} of air a minute, {$rules->holdMinutes} min from "
            ."{$shows($rules->holdMinutes)}.";
    }

    public function instructions(Situation $at): array
    {
        return [
            'Valve closed, air off. The last reading of the pull is the first of the hold.',
            'A reading when the clock is over is enough for “tight”; a third tells a leak from settling. Do not '
                .'touch hoses or adapter in between.',
            'A rocking adapter is the usual false alarm. Pulled again, or the valve shut only now: start '
                .'the hold anew.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Collapse];
    }

    public function observes(): array
    {
        return [NeedleRead::class, HoldLengthSet::class, HoldRestarted::class];
    }

    public function asks(Situation $at): array
    {
        return [
            new Form(
                NeedleRead::FORM,
                'Record gauge',
                NeedleRead::fields('Gauge shows', Gauge::air($at)),
                closes: true,
            ),
            HoldLengthSet::asked(Plan::of($at)->rules(), VacuumHeld::length($at)),
            HoldRestarted::asked(),
        ];
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        Needle::admit($at, $values);
    }

    public function clock(Situation $at): ?Clock
    {
        $held = $this->judgement($at);

        return $held === null
            ? null
            : new Clock('Hold', $held->readings[0]->at(), $held->readings[0]->at() + (int) round($held->seconds));
    }

    public function judgement(Situation $at): ?VacuumHeld
    {
        return VacuumHeld::of($at);
    }

    public function obstacles(Situation $at): array
    {
        $held = $this->judgement($at);
        if ($held === null || $at->latest(NeedleRead::class) === null) {
            return [Obstacle::missing('no_reading', $held === null
                ? 'Record the first reading when the valve is closed.'
                : 'Take a reading when its clock is over.')];
        }

        return match ($held->hold->verdict) {
            HoldVerdict::Leak, HoldVerdict::Opened => [],
            HoldVerdict::Moved, HoldVerdict::Lost => [
                Obstacle::missing($held->code(), 'This was no hold. Pull again and restart it.'),
            ],
            HoldVerdict::Settling => [
                Obstacle::missing('settling', 'The circuit was settling. Pull again and restart the hold.'),
            ],
            HoldVerdict::Tight => $held->over ? [] : [self::notOver()],
            HoldVerdict::Inconclusive => [$held->over
                ? Obstacle::missing('undecided', 'The readings do not decide it yet. Take more.')
                : self::notOver()],
        };
    }

    private static function notOver(): Obstacle
    {
        return Obstacle::missing('not_over', 'The hold is not over: take a reading when its clock is.');
    }

    public function figure(Situation $at): Figure
    {
        $readings = $this->judgement($at)->readings ?? [];
        $air = Gauge::air($at);
        $last = $readings === [] ? null : $readings[count($readings) - 1]->kPa($air);

        return new Figure('Vacuum', $last, Unit::InchOfMercury, Origin::Measured,
            $readings === [] ? null : $readings[0]->kPa($air), 'at valve closed');
    }

    public function judge(Situation $at): ?Verdict
    {
        $hold = $at->latest(NeedleRead::class) === null ? null : $this->judgement($at)?->hold;
        if ($hold === null) {
            return null;
        }
        $rate = $at->amount($hold->airLeakMlPerMinute());
        $hole = round((float) $hold->holeMicrometres());

        return match ($hold->verdict) {
            HoldVerdict::Tight => Verdict::pass(
                'tight',
                'Tight so far',
                "{$hold->reason} {$this->bound($at, $hold)}".($this->judgement($at)->early
                    ? ' The instrument shows it as surely as the whole hold would by hand: it may end here.' : ''),
            ),
            HoldVerdict::Leak => Verdict::stop(
                'leak',
                'Leak',
                "{$hold->reason} {$rate} a minute, like a hole of {$hole} µm. Finish this step: the leak hunt comes "
                    .'next.',
            ),
            HoldVerdict::Opened => Verdict::stop(
                'opened',
                'A leak opened',
                "{$hold->reason} Finish this step: the leak hunt comes next.",
            ),
            HoldVerdict::Settling => Verdict::wait('settling', 'Settling', $hold->reason),
            HoldVerdict::Moved => Verdict::wait('moved', 'The adapter moved', $hold->reason),
            HoldVerdict::Lost => Verdict::stop('lost', 'No vacuum', $hold->reason),
            HoldVerdict::Inconclusive => Verdict::wait('inconclusive', 'Not decided yet', $hold->reason),
        };
    }

    /** The largest leak that could hide in these readings, and what it would mean. */
    private function bound(Situation $at, VacuumHold $hold): string
    {
        $bound = $hold->boundMlPerMinute();
        if ($bound === null) {
            return '';
        }
        $cap = $at->facts()->capKpa;
        $weeps = $cap === null ? '' : '; the same hole would weep about '
            ."{$at->litres($hold->weepMlPerDay($bound, $cap))} a day at cap pressure, to an order of magnitude";

        return "No leak above {$at->amount($bound)} of air a minute{$weeps}.";
    }

    public function orders(Situation $at): array
    {
        if (! in_array($this->judgement($at)?->hold->verdict, [HoldVerdict::Leak, HoldVerdict::Opened], true)) {
            return [];
        }
        $round = count($at->job->stepsOf('hold')) + 1;

        return [
            new Step("leak_hunt:{$round}", 'leak_hunt', Stage::Vacuum),
            new Step("pull:{$round}", 'pull', Stage::Vacuum, $at->job->before($at->step, 'pull')->params ?? new Values),
            new Step("hold:{$round}", 'hold', Stage::Vacuum, $at->step->params),
        ];
    }

    public function labour(Step $step, Choices $choices): Minutes
    {
        return parent::labour($step, $choices)
            ->plus(new Minutes(0.0, $choices->rules->minutesOf($choices->rules->holdLength)));
    }

    public function trace(Situation $at): ?Trace
    {
        $hold = $this->judgement($at)?->hold;

        return $hold === null || count($hold->readings) < 2
            ? null
            : new Trace('Needle and fitted line', $hold->traced(), $hold->believed(), Unit::InchOfMercury);
    }
}
