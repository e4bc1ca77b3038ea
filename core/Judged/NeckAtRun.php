<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\Capped;
use Aqbel\Core\Observed\FunnelTakenOff;
use Aqbel\Core\Observed\ShutOff;
use Aqbel\Core\Observed\Started;
use Aqbel\Core\Plan\NeckLimit;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\WarmUp;

/** How the neck stands at a run: as it will, as it did at the start, and since. */
final class NeckAtRun
{
    /** How it is warmed up: as the school has it, unless the cap was shut before the start. */
    public static function warmUp(Situation $at): WarmUp
    {
        $by = Plan::of($at)->school->warmUp();
        $off = self::funnelOff($at->job) !== null;

        return self::atTheStart($at)?->holdsPressure() === true || ($by === WarmUp::UnderFunnel && $off)
            ? WarmUp::Usual
            : $by;
    }

    /** As it was said; null before the start. */
    public static function atTheStart(Situation $at): ?Neck
    {
        return $at->latest(Started::class)?->neck;
    }

    /** As it was said, or as it will most likely be. */
    public static function orLikely(Situation $at): Neck
    {
        $by = self::warmUp($at);
        // Under a resting cap it would be shut off before its thermostat opens: the cap goes on tight.
        $mustBeTight = $by === WarmUp::LooseCap
            && NeckLimit::endsTooEarly($at->circuit(), Plan::of($at)->choices, $by);

        return self::atTheStart($at) ?? ($mustBeTight ? Neck::Sealed : $by->neck());
    }

    /**
     * A cap that went on warm, or onto a neck from which a funnel came off hot, is one that was sealed while warming;
     * and one that was sealed at the run before stays so until it was cold, whatever is said of the next.
     */
    public static function since(Situation $at): ?Neck
    {
        $start = $at->latest(Started::class);
        if ($start === null || $start->neck?->holdsPressure() === true) {
            return $start?->neck;
        }
        $hot = $start->neck === Neck::Funnel && self::funnelOffHot($at, $start);

        return $hot || $at->observed(Capped::class) !== [] || self::wasSealedBefore($at, $start)
            ? Neck::Sealed
            : $start->neck;
    }

    private static function wasSealedBefore(Situation $at, Started $start): bool
    {
        $before = $at->job->before($at->step, $at->step->kind);
        $run = $before === null ? null : $at->seenFrom($before);
        $off = $run?->latest(ShutOff::class);

        return $run !== null
            && $off !== null
            && self::since($run)?->holdsPressure() === true
            && ! NeckHeat::wasCold($at, $off->at(), $start->at());
    }

    /** The funnel that came off last; null where it is on, or none was. */
    public static function funnelOff(JobState $job): ?FunnelTakenOff
    {
        $off = $job->observedAnywhere(FunnelTakenOff::class);

        return $off === [] ? null : $off[count($off) - 1];
    }

    private static function funnelOffHot(Situation $at, Started $start): bool
    {
        $off = self::funnelOff($at->job);

        // Where nobody read it, and it had not stood long enough, it counts as hot.
        return $off !== null
            && ($off->coolantC === null
                ? ! NeckHeat::wasCold($at, $start->at(), $off->at())
                : ! NeckHeat::mayBeOpened($at, $off->coolantC));
    }
}
