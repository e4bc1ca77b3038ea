<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\JobState;
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
            NoseUp::mm($job) > 0.0 ? SetUp::NoseUp : null,
            self::pumped($job) !== null ? SetUp::UnderPressure : null,
            TakenOff::standing($job) !== [] ? SetUp::JointOff : null,
        ]));
    }

    /** While it is drained hoses are off; and what came off when an engine had run here is for the steps after it. */
    private static function isMindedLater(Situation $at): bool
    {
        if ($at->step->stage->value < Stage::Rinse->value) {
            return true;
        }
        $kind = $at->job->kinds->of($at->step);
        $ran = $kind->does(Does::RunsEngine) ? $kind->ran($at) : null;

        return $ran !== null && array_filter(TakenOff::standing($at->job), fn (TakenOff $off) => $off->at < $ran) === [];
    }

    private static function isToBeSetBack(Situation $at, SetUp $what): bool
    {
        $isOpen = fn (string $step): bool => $step === $at->step->id || ! isset($at->job->closed[$step]);
        $by = match ($what) {
            SetUp::NoseUp => array_map(fn (Step $step) => $step->id, $at->job->stepsThat(Does::LowersNose)),
            SetUp::UnderPressure => [(string) self::pumped($at->job)?->told()->step],
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
