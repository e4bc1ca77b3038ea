<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\NeckHeat;
use Aqbel\Core\Judged\StillSetUp;
use Aqbel\Core\Observed\SetUp;
use Aqbel\Core\Plan\LeftBehind;
use Aqbel\Core\Plan\Plan;

/** What a job that is given up leaves to the next on the same vehicle: a danger is not given up with it. */
final class GivenUp
{
    /** @param  string  $number  of the job */
    public static function leaves(JobState $job, string $number, int $now): LeftBehind
    {
        return LeftBehind::of($job, $number, $now)->with(
            array_map(fn (SetUp $what) => $what->value, StillSetUp::standing($job)),
            self::isUnexplained($job, $now),
            self::ranAt($job, $now),
        );
    }

    /** When it last ran, here or in the job before; null once it was known to be cold. */
    private static function ranAt(JobState $job, int $now): ?int
    {
        $steps = array_values($job->steps);
        $at = $job->at($steps[count($steps) - 1], $now);
        $ran = NeckHeat::lastRan($at);

        return $ran === null || NeckHeat::wasCold($at, $ran, $now) ? null : $ran;
    }

    /** Whether a run had to be stopped, here or in the job before, and its cause is not settled. */
    private static function isUnexplained(JobState $job, int $now): bool
    {
        $left = Plan::of($job)->choices->left?->stopped === true && ! self::isSettled($job, LeftBehind::CAUSE);
        $stopped = array_filter($job->stepsThat(Does::RunsEngine), function (Step $step) use ($job, $now): bool {
            $kind = $job->kinds->of($step);

            return $kind instanceof StepKind && $kind->wasStopped($job->at($step, $now))
                && ! self::isSettled($job, "why_stopped:{$step->id}");
        });

        return $left || $stopped !== [];
    }

    /** Looked for; and what it ordered, where gas gets in, is mended. */
    private static function isSettled(JobState $job, string $cause): bool
    {
        $mend = "extra:{$cause}";

        return isset($job->closed[$cause]) && (! isset($job->steps[$mend]) || isset($job->closed[$mend]));
    }
}
