<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Observed\CameBack;
use Aqbel\Core\Observed\ToppedUp;

/** What stands in a high funnel: poured, and not inside until the circuit draws it. */
final class InFunnel
{
    /** A high funnel holds so much where nobody read it, mL (common practice, no source). */
    public const HOLDS_ML = 3_000.0;

    /** Whether one stands on the neck now. */
    public static function isOn(JobState $job): bool
    {
        return match (true) {
            NeckAtRun::funnelOff($job) !== null => false,
            $job->running()->last() === null => self::isHigh($job),
            default => $job->running()->neck() === Neck::Funnel,
        };
    }

    /** Whether it is the high one that it was poured through; a small one at a running neck holds what is topped up. */
    private static function isHigh(JobState $job): bool
    {
        return array_filter($job->stepsOf('funnel'), fn (Step $step) => isset($job->closed[$step->id])) !== [];
    }

    /** What was said to stand in it, or in jug and hose, after the pour, mL; null where nobody said. */
    public static function leftMl(JobState $job): ?float
    {
        $said = null;
        foreach ($job->observedAnywhere(CameBack::class) as $back) {
            $said = $back->leftMl === null ? $said : ($said ?? 0.0) + $back->leftMl;
        }

        return $said;
    }

    /** The most that can ever have stood in it beside what the ledger left out, mL. */
    public static function stoodMl(JobState $job): float
    {
        return (self::leftMl($job) ?? self::HOLDS_ML) + self::toppedMl($job);
    }

    /** What the ledger counts as inside and may all stand in the funnel still, mL. */
    public static function mayStandMl(JobState $job): float
    {
        return match (true) {
            ! self::isOn($job) => 0.0,
            self::isHigh($job) && self::leftMl($job) === null => self::HOLDS_ML + self::toppedMl($job),
            default => self::toppedMl($job),
        };
    }

    /** What went from it into the recovery bottle, mL: it is not left of the batch. */
    public static function intoTheBottleMl(JobState $job): float
    {
        $off = NeckAtRun::funnelOff($job);

        return $off?->intoTheBottle === true ? $off->leftMl : 0.0;
    }

    private static function toppedMl(JobState $job): float
    {
        return array_sum(
            array_map(
                fn (Step $run) => ToppedUp::sumMl($job->observed($run->id, ToppedUp::class)),
                $job->stepsOf('heat_cycle'),
            ),
        );
    }
}
