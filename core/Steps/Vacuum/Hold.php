<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Vacuum;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\HoldLength;
use Aqbel\Core\Plan\Minutes;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Trace;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Vacuum\GaugeReading;
use Aqbel\Core\Vacuum\HoldVerdict;
use Aqbel\Core\Vacuum\VacuumHold;
use Aqbel\Core\Values;

/** Stage 7: the hold test, by repeated readings, short or long. */
final class Hold extends StepKind
{
    /** A circuit that counts as drained holds at least so much gas, mL. */
    private const LEAST_VOID_ML = 500.0;

    /** A reading so soon after the pull is that of the valve being closed, s (common practice, no source). */
    private const CLOSING_S = 180;

    public function name(): string
    {
        return 'hold';
    }

    protected function doing(): array
    {
        return [Does::LoadsJoints, Does::Guards];
    }

    public function title(Situation $at): string
    {
        return 'Hold the vacuum';
    }

    public function why(Situation $at): string
    {
        $rules = Plan::of($at)->rules();
        $shows = fn (float $minutes): string => $at->say(
            Gauge::resolution($at)->kPa() * $this->voidMl($at) / (
                Gauge::air($at)->pressure->kPa() * $minutes
            ), Unit::Millilitre);

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

    public function asks(Situation $at): array
    {
        $rules = Plan::of($at)->rules();
        $lengths = [
            HoldLength::Glance->value => "Glance, {$rules->glanceMinutes} min",
            HoldLength::Real->value => "Real test, {$rules->holdMinutes} min",
        ];

        return [
            new Form('reading', 'Record gauge', [Gauge::field($at, 'Gauge shows')], closes: true),
            new Form(
                'school',
                'Set length',
                [Field::choice('length', 'Length of the test', $lengths, $this->length($at)->value)],
                false,
            ),
            new Form('restart', 'Start the hold anew', [], false),
        ];
    }

    public function clock(Situation $at): ?Clock
    {
        $first = $this->readings($at)[0] ?? null;
        $seconds = (int) round(60.0 * Plan::of($at)->rules()->minutesOf($this->length($at)));

        return $first === null ? null : new Clock('Hold', $first->at, $first->at + $seconds);
    }

    public function obstacles(Situation $at): array
    {
        $hold = $this->hold($at);
        $readings = $this->readings($at);
        $clock = $this->clock($at);
        $long = $clock !== null && $readings !== [] && $readings[count($readings) - 1]->at >= $clock->until;

        return match (true) {
            ! $at->has('reading') => [Obstacle::missing('no_reading', 'Take a reading when its clock is over.')],
            $hold === null => [Obstacle::missing('no_reading', 'Record the first reading when the valve is closed.')],
            $hold->verdict === HoldVerdict::Leak => [],
            $hold->verdict === HoldVerdict::Moved, $hold->verdict === HoldVerdict::Lost => [
                Obstacle::missing($hold->verdict->value, 'This was no hold. Pull again and restart it.'),
            ],
            $hold->verdict === HoldVerdict::Settling => [
                Obstacle::missing('settling', 'The circuit was settling. Pull again and restart the hold.'),
            ],
            ! $long => [Obstacle::missing('not_over', 'The hold is not over: take a reading when its clock is.')],
            $hold->verdict === HoldVerdict::Tight => [],
            default => [Obstacle::missing('undecided', 'The readings do not decide it yet. Take more.')],
        };
    }

    public function figure(Situation $at): Figure
    {
        $readings = $this->readings($at);
        $last = $readings === [] ? null : $readings[count($readings) - 1];

        return new Figure('Vacuum', $last?->number('vacuum'), Unit::InchOfMercury, Origin::Measured,
            $readings === [] ? null : $readings[0]->number('vacuum'), 'at valve closed');
    }

    public function judge(Situation $at): ?Verdict
    {
        $hold = $at->has('reading') ? $this->hold($at) : null;
        if ($hold === null) {
            return null;
        }
        $rate = $at->say($hold->airLeakMlPerMinute(), Unit::Millilitre);
        $hole = round((float) $hold->holeMicrometres());

        return match ($hold->verdict) {
            HoldVerdict::Tight => Verdict::pass(
                'tight',
                'Tight so far',
                "{$hold->reason} {$this->bound($at, $hold)}",
            ),
            HoldVerdict::Leak => Verdict::stop(
                'leak',
                'Leak',
                "{$hold->reason} {$rate} a minute, like a hole of {$hole} µm. Finish this step: the leak hunt comes "
                    .'next.',
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

        return "No leak above {$at->say($bound, Unit::Millilitre)} of air a minute{$weeps}.";
    }

    public function orders(Situation $at): array
    {
        if ($this->hold($at)?->verdict !== HoldVerdict::Leak) {
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
        $hold = $this->hold($at);

        return $hold === null || count($hold->readings) < 2
            ? null
            : new Trace('Needle and fitted line', $hold->traced(), $hold->believed(), Unit::InchOfMercury);
    }

    /** @return list<Entry> since the last restart; before one, the last of the pull is the first of the hold */
    private function readings(Situation $at): array
    {
        $restart = $at->last('restart');
        if ($restart !== null) {
            return array_values(array_filter($at->entries('reading'), fn (Entry $e) => $e->seq > $restart->seq));
        }
        $own = $at->entries('reading');
        $pull = $at->job->before($at->step, 'pull');
        $pulled = $pull === null ? null : $at->seenFrom($pull)->last('reading');

        return $pulled === null || ($own !== [] && self::startsAnew($pulled, $own)) ? $own : [$pulled, ...$own];
    }

    /**
     * Read again when the valve was closed, or pulled on in between: the first of its own is where the hold starts.
     *
     * @param  non-empty-list<Entry>  $own
     */
    private static function startsAnew(Entry $pulled, array $own): bool
    {
        [$first, $last] = [$own[0]->number('vacuum'), $own[count($own) - 1]->number('vacuum')];

        return $own[0]->at - $pulled->at <= self::CLOSING_S
            || $first > $pulled->number('vacuum')
            || ($first === $pulled->number('vacuum') && $last < $first);
    }

    private function hold(Situation $at): ?VacuumHold
    {
        return $at->once(self::class, fn (): ?VacuumHold => $this->judged($at));
    }

    private function judged(Situation $at): ?VacuumHold
    {
        $readings = $this->readings($at);
        $points = [];
        foreach ($readings as $entry) {
            $second = (float) ($entry->at - $readings[0]->at);
            if ($points === [] || $second > $points[count($points) - 1]->second) {
                $points[] = new GaugeReading($second, Pressure::kilopascals((float) $entry->number('vacuum')));
            }
        }

        return $points === []
            ? null
            : new VacuumHold(Gauge::air($at), Volume::millilitres($this->voidMl($at)), $points, Gauge::resolution($at), $this->target($at));
    }

    /** What was to be reached at the pull before; null where none was planned. */
    private function target(Situation $at): ?Pressure
    {
        $kpa = $at->job->before($at->step, 'pull')?->params->number('target_kpa');

        return $kpa === null ? null : Pressure::kilopascals($kpa);
    }

    private function length(Situation $at): HoldLength
    {
        return HoldLength::tryFrom($at->last('school')?->text('length') ?? '') ?? Plan::of($at)->rules()->holdLength;
    }

    /** Whether the last hold proved the circuit tight, by a test and not by a glance; null where none was held. */
    public static function proved(JobState $job): ?bool
    {
        $holds = $job->stepsOf('hold');
        if ($holds === []) {
            return null;
        }
        $last = $holds[count($holds) - 1];
        $at = $job->at($last, $job->closed[$last->id]->at ?? 0);
        $hold = new self;

        return $hold->judge($at)?->code === 'tight' && $hold->length($at) === HoldLength::Real;
    }

    private function voidMl(Situation $at): float
    {
        return max(self::LEAST_VOID_ML, $at->job->ledger()->voidMl());
    }
}
