<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Observed\PressureLetOff;
use Aqbel\Core\Observed\PressureTested;
use Aqbel\Core\Observed\PumpedToVent;
use Aqbel\Core\Observed\PumpedUp;
use Aqbel\Core\Observed\SetUp;
use Aqbel\Core\Observed\WasSetBack;
use Aqbel\Core\Plan\Plan;

/**
 * What was set up for the work and by the journal still stands, though no step still to come sets it back: whoever was
 * to was passed over.
 */
final class StillSetUp
{
    /** @return list<SetUp> */
    public static function of(Situation $at): array
    {
        return $at->once(self::class, fn (): array => array_values(array_filter(
            self::standing($at->job),
            fn (SetUp $what) => ! self::isToBeSetBack($at, $what) && ! ($what === SetUp::JointOff && self::isMindedLater($at)),
        )));
    }

    /** @return list<SetUp> all that stands, also what a step still to come sets back */
    public static function standing(JobState $job): array
    {
        return array_values(array_filter([
            NoseUp::mm($job) > 0.0 || self::isLeft($job, SetUp::NoseUp) ? SetUp::NoseUp : null,
            self::pumped($job) !== null || self::isLeft($job, SetUp::UnderPressure) ? SetUp::UnderPressure : null,
            TakenOff::standing($job) !== [] || self::isLeft($job, SetUp::JointOff) ? SetUp::JointOff : null,
        ]));
    }

    /** So the job before it left it, as it was given up, and nobody has set it back since. */
    private static function isLeft(JobState $job, SetUp $what): bool
    {
        $back = array_filter(
            array_map(WasSetBack::of(...), $job->cameUp()),
            fn (?WasSetBack $one) => $one?->what === $what,
        );

        $by = match ($what) {
            SetUp::NoseUp => Does::LowersNose,
            SetUp::UnderPressure => null,
            SetUp::JointOff => Does::ClosesUp,
        };

        return in_array($what->value, Plan::of($job)->choices->left->setUp ?? [], true)
            && $back === [] && ($by === null || ! self::isDone($job, $by));
    }

    private static function isDone(JobState $job, Does $what): bool
    {
        $done = fn (Step $step): bool => ($job->closed[$step->id] ?? null)?->is(Lines::Finish) === true;

        return array_filter($job->stepsThat($what), $done) !== [];
    }

    /** While it is drained hoses are off; and what came off when an engine had run here is for the steps after it. */
    private static function isMindedLater(Situation $at): bool
    {
        $kind = $at->job->kinds->of($at->step);
        if ($at->step->stage->value < Stage::Rinse->value) {
            return ! $kind->does(Does::RunsEngine);
        }
        $ran = $kind->does(Does::RunsEngine) ? $kind->ran($at) : null;

        return $ran !== null && array_filter(TakenOff::standing($at->job), fn (TakenOff $off) => $off->at < $ran) === [];
    }

    private static function isToBeSetBack(Situation $at, SetUp $what): bool
    {
        $isOpen = fn (string $step): bool => $step === $at->step->id || ! isset($at->job->closed[$step]);
        $by = match ($what) {
            SetUp::NoseUp => array_map(fn (Step $step) => $step->id, $at->job->stepsThat(Does::LowersNose)),
            SetUp::UnderPressure => array_filter([self::pumped($at->job)?->told()->step]),
            SetUp::JointOff => [],
        };

        return array_filter($by, $isOpen) !== [];
    }

    /** What was pumped up, and neither read to its end nor let off since. */
    private static function pumped(JobState $job): ?Observation
    {
        return $job->once(self::class, function () use ($job): ?Observation {
            $pumped = self::last($job, PumpedUp::class, PumpedToVent::class);
            if ($pumped === null) {
                return null;
            }
            $off = self::last($job, PressureTested::class, PressureLetOff::class);
            $back = array_filter(
                array_map(WasSetBack::of(...), $job->cameUp()),
                fn (?WasSetBack $one) => $one?->what === SetUp::UnderPressure && $one->isAfter($pumped),
            );

            return $off?->told()->isAfter($pumped->told()) === true || $back !== [] ? null : $pumped;
        });
    }

    /** @param  class-string<Observation>  ...$kinds */
    private static function last(JobState $job, string ...$kinds): ?Observation
    {
        $last = null;
        foreach ($kinds as $kind) {
            foreach ($job->observedAnywhere($kind) as $one) {
                $last = $last === null || $one->told()->isAfter($last->told()) ? $one : $last;
            }
        }

        return $last;
    }
}
