<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Observed\Driven;
use Aqbel\Core\Observed\SetUp;
use Aqbel\Core\Observed\WasSetBack;
use Aqbel\Core\Plan\Plan;

/**
 * How high the nose of a vehicle stands in the middle of a job: raised from the start, or for the pour alone. A raising
 * or a lowering that was passed over did not happen.
 */
final class NoseUp
{
    /** mm at the front axle */
    public static function mm(JobState $job): float
    {
        return $job->once(self::class, function () use ($job): float {
            [$mm, $since] = [0.0, 0];
            foreach ($job->steps as $id => $step) {
                $end = $job->closed[$id] ?? null;
                $isDone = $end?->is(Lines::Finish) === true;
                if ($job->kinds->of($step)->does(Does::LowersNose) && $isDone) {
                    $mm = 0.0;
                } elseif ($job->kinds->of($step)->does(Does::RaisesNose) && ($isDone || self::isBegun($job, $step))) {
                    [$mm, $since] = [self::liftMm($job, $step), $end->at ?? $since];
                }
            }

            return $mm > 0.0 && self::isDownSince($job, $since) ? 0.0 : $mm;
        });
    }

    /** Left in the middle for another way, it stands as high as it was to. */
    private static function isBegun(JobState $job, Step $step): bool
    {
        return $step->stage === Stage::Fill
            && ($job->closed[$step->id] ?? null)?->is(Lines::Override) !== true
            && $job->entriesOf($step->id) !== [];
    }

    /** By the plan that held when it was raised. */
    private static function liftMm(JobState $job, Step $step): float
    {
        $plan = Plan::of($job->journal->planned() === 0 ? $job : $job->asAt($step));

        return $step->stage === Stage::Fill
            ? $plan->school->pours($job->circuit, $plan->choices)[0]->noseLiftMm
            : $plan->choices->noseLiftMm;
    }

    /** Somebody has said so; and nothing is driven off its ramps with the nose up. */
    private static function isDownSince(JobState $job, int $since): bool
    {
        foreach ($job->cameUp() as $line) {
            if (WasSetBack::of($line)?->what === SetUp::NoseUp && $line->at >= $since) {
                return true;
            }
        }

        return ! $job->circuit->facts->stationary
            && array_filter($job->observedAnywhere(Driven::class), fn (Driven $drive) => $drive->at() >= $since) !== [];
    }
}
