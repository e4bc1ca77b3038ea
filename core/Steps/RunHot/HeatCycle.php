<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\RunHot;

use Aqbel\Core\Heat\StopLimit;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\EngineRuns;
use Aqbel\Core\Judged\FanSeen;
use Aqbel\Core\Judged\HotRun;
use Aqbel\Core\Judged\NeckAtRun;
use Aqbel\Core\Judged\NoseUp;
use Aqbel\Core\Judged\RunDanger;
use Aqbel\Core\Judged\StopLimitAtNeck;
use Aqbel\Core\Observed\CameOut;
use Aqbel\Core\Observed\Capped;
use Aqbel\Core\Observed\CoolantRead;
use Aqbel\Core\Observed\FanStaysOff;
use Aqbel\Core\Observed\FanTurned;
use Aqbel\Core\Observed\FeltReading;
use Aqbel\Core\Observed\HeldAtSpeed;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Observed\OutsideAir;
use Aqbel\Core\Observed\ShutOff;
use Aqbel\Core\Observed\StandsAtLine;
use Aqbel\Core\Observed\Started;
use Aqbel\Core\Observed\ToldInHaste;
use Aqbel\Core\Observed\ToppedUp;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\BeforeAndNow;
use Aqbel\Core\Steps\EngineStart;
use Aqbel\Core\Steps\NotRun;
use Aqbel\Core\Steps\RunWords;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Steps\TopUp;
use Aqbel\Core\Values;

/** Stage 8: run it hot, and prove thermostat, fan, heater, bubbles and level. */
final class HeatCycle extends StepKind
{
    /** Seconds of a usual warm-up (common practice, no source). */
    private const WARM_UP_S = 1200;

    public function name(): string
    {
        return 'heat_cycle';
    }

    protected function doing(): array
    {
        return [Does::RunsEngine, Does::LoadsJoints, Does::MovesCoolant, Does::Guards];
    }

    public function observes(): array
    {
        return [
            Started::class,
            HotReading::class,
            FeltReading::class,
            ToldInHaste::class,
            FanTurned::class,
            FanStaysOff::class,
            HeldAtSpeed::class,
            ToppedUp::class,
            StandsAtLine::class,
            Capped::class,
            ShutOff::class,
            CoolantRead::class,
            OutsideAir::class,
            CameOut::class,
        ];
    }

    public function title(Situation $at): string
    {
        return 'Heat cycle '.$at->step->params->whole('round');
    }

    public function why(Situation $at): string
    {
        $limit = self::limit($at);
        $proofs = $at->circuit()->hasHeater() ? 'the thermostat and the heater are' : 'the thermostat is';
        $fan = $limit->fanCanProve() || $at->facts()->fanOnC === null
            ? ''
            : " That is below fan-on, so the fan cannot be the proof: {$proofs}.";

        return "Only a hot, moving circuit gives its air up. Shut down at {$at->degrees($limit->limit->degC())}: "
            ."{$limit->because->label()}.{$fan}";
    }

    public function instructions(Situation $at): array
    {
        $cycles = Plan::of($at)->rules()->fanCycles;
        $heater = $at->circuit()->hasHeater();
        $often = match ($cycles) {
            1 => 'once',
            2 => 'twice',
            default => "{$cycles} times",
        };
        $fan = $at->facts()->fanOnC !== null && self::limit($at)->fanCanProve();

        return [
            ...NoseUp::mm($at->job) > 0.0
                ? ['The nose stays up for this run: chocks in place, nobody in front of it or underneath.']
                : [],
            ...WarmTopUp::instructions($at),
            ($heater ? RunWords::heaterFull($at).', blower low. ' : '').'Idle five to ten minutes before any revs.',
            "Probe on the {$at->facts()->thermostatFarSide}; temperature from a live reading, not the dash.",
            'Read every few minutes. Short lifts to 2000 rpm only below the limit, with level'
            .($heater ? ' and heater' : '')
            .' good.',
            ucfirst(
                implode(
                    ', ',
                    array_filter([
                        $heater ? 'outlets really hot' : null,
                        $fan ? "fan on and off {$often}" : null,
                        'no bubbles after a blip',
                    ]),
                ),
            ).': then shut off.',
            'Shut off at once for steam, a warning lamp, oil pressure, a new drip'
            .($heater
                ? ', or the temperature climbing with the heater blowing cold.'
                : ', or the temperature climbing fast.'),
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Exhaust, Hazard::Moving, Hazard::Scald, ...$at->facts()->stationary ? [] : [Hazard::Pedal]];
    }

    public function asks(Situation $at): array
    {
        return (new RunForms($at))->all();
    }

    public function tables(Situation $at): array
    {
        return $at->observed(HotReading::class) === [] ? [] : BeforeAndNow::tables($at);
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        EngineStart::admit($at, $form, $values);
        FeltReading::admit($at, $form, $values);
        $fanOn = $at->facts()->fanOnC;
        $hottest = FanSeen::of($at)->hottestC;
        if ($form === FanStaysOff::form() && $fanOn !== null && $hottest !== null && $hottest >= $fanOn) {
            throw new InvalidField(
                'finish',
                "The coolant stood at {$at->degrees($hottest)}, and the fan comes on at {$at->degrees($fanOn)}:"
                    .' a fan that stays off now is a fault. Shut off, and find out why.',
            );
        }
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        $topped = ToppedUp::of($entry);

        return $topped === null
            ? []
            : [TopUp::line($at, $entry, 'Topped up, warm', $topped->read->plusMinusMl($at), $topped->read->roughMl)];
    }

    public function obstacles(Situation $at): array
    {
        $ended = $at->observed(Started::class) !== [] && ! EngineRuns::at($at) && ! $this->wasStopped($at);

        return array_values(
            array_filter([
                ...EngineStart::missing($at, $this->wasStopped($at)),
                $ended ? WarmTopUp::isMissing($at) : null,
            ]),
        );
    }

    public function figure(Situation $at): Figure
    {
        return RunWords::coolantAgainst($at, self::limit($at));
    }

    public function clock(Situation $at): ?Clock
    {
        $start = $at->latest(Started::class);
        $run = HotRun::of($at);
        $held = $at->latest(HeldAtSpeed::class);
        $off = $at->observed(ShutOff::class) !== [];

        return match (true) {
            $start === null || $off => null,
            $run?->heater->goesOn() === true && $run->danger === null => new Clock(
                'The heater must turn hot',
                $run->heater->until() - $run->heater::LONGEST_S,
                $run->heater->until(),
            ),
            $held !== null && $held->seconds() > 0 => new Clock(
                $held->label(),
                $held->at(),
                $held->at() + $held->seconds(),
            ),
            default => new Clock(
                'A warm-up takes about twenty minutes',
                $start->at(),
                $start->at() + self::WARM_UP_S,
                true,
            ),
        };
    }

    public function judgement(Situation $at): ?HotRun
    {
        return HotRun::of($at);
    }

    public function judge(Situation $at): ?Verdict
    {
        $run = HotRun::of($at);

        return match (true) {
            $run === null => EngineStart::notYet($at),
            $run->danger !== null => RunWords::danger($at, $run->danger, $run->running),
            $run->level !== null && $run->code() === $run->level->code() => RunWords::level($at, $run->level),
            $run->heater->goesOn() => RunWords::watch($at, $run),
            $run->proves() => Verdict::pass(
                $run->code(),
                $run->proofs->byHand ? 'Proven, by hand' : 'Proven',
                RunWords::proven($at, $run->proofs, self::limit($at)->fanCanProve()),
            ),
            default => Verdict::wait(
                $run->code(),
                $run->running ? 'Not proven yet' : 'Another cycle',
                RunWords::missing($at, $run->proofs),
            ),
        };
    }

    /** Under a loose cap the next run follows by itself. */
    public function goesOn(Situation $at): bool
    {
        return parent::goesOn($at) || HotRun::of($at)?->code() === 'another_warm_up';
    }

    public function tellsDanger(Situation $at, Entry $entry): bool
    {
        return $at->latest(Started::class) !== null && RunDanger::comesFirst($entry, self::limit($at));
    }

    /** A danger is not taken back like a slip. */
    public function endsIt(Situation $at, Entry $entry): bool
    {
        $told = RunDanger::told($entry) ?? CameOut::of($entry);

        return $told !== null && RunDanger::isIn($at, $told, self::limit($at));
    }

    public function wasStopped(Situation $at): bool
    {
        return HotRun::of($at)?->danger !== null;
    }

    public function neckWhileRunning(Situation $at): ?Neck
    {
        return NeckAtRun::since($at);
    }

    /** After a danger what any such run is followed by. */
    public function orders(Situation $at): array
    {
        return $this->wasStopped($at) ? AfterRun::stopped($at) : AfterRun::next($at);
    }

    /** What was not run takes its followers with it; and runs that were planned for air which has worked out. */
    public function needless(Situation $at): array
    {
        return $at->observed(Started::class) === [] ? NotRun::followers($at) : AfterRun::noLongerNeeded($at);
    }

    private static function limit(Situation $at): StopLimit
    {
        return StopLimitAtNeck::of($at, NeckAtRun::orLikely($at));
    }
}
