<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Heat\CoolingBody;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\CoolantRead;
use Aqbel\Core\Observed\CoolToTheHand;
use Aqbel\Core\Observed\Rested;
use Aqbel\Core\Plan\Plan;

/** Whether the neck may be opened: one that was sealed while warming never is before it is known to be cold. */
final class NeckHeat
{
    /** Standing so long, a usual engine may be opened without a reading (common practice, no source). */
    private const RESTED_S = 2.0 * 3600.0;

    /**
     * Shut off so long, hoses that are cool to the hand tell that a
     * usual one may be opened (common practice, no source).
     */
    private const BY_HAND_S = 90.0 * 60.0;

    /** Times for a usual engine hold up to one that takes so many times as long. */
    private const USUAL_UP_TO = 1.25;

    /** A temperature read so long ago is this one, s: it has fallen since, if anything (common practice, no source). */
    private const JUST_NOW_S = 1800;

    /** °C at and below which any neck may be opened: the shop's rule. */
    public static function safeC(Situation $at): float
    {
        return Plan::of($at)->rules()->safeTemperatureC;
    }

    public static function mayBeOpened(Situation $at, float $coolantC): bool
    {
        return $coolantC <= self::safeC($at);
    }

    /** How long an engine of this size stands before it counts as cold without a reading, s. */
    public static function restedS(Situation $at): float
    {
        return self::RESTED_S * self::slowness($at);
    }

    /** How long before it can be told by hand, s. */
    public static function byHandS(Situation $at): float
    {
        return self::BY_HAND_S * self::slowness($at);
    }

    /**
     * When the engine last ran, Unix seconds: in this job, or so lately in the one before it that it may still be hot.
     * Null where in neither: nobody knows then.
     */
    public static function lastRan(Situation $at): ?int
    {
        $before = Plan::of($at)->choices->left?->ranAt;
        $isLate = $before !== null && $at->now - $before < self::restedS($at);

        return $at->job->running()->last() ?? ($isLate ? $before : null);
    }

    /** How it stood when the engine last ran; where nobody knows, it counts as sealed. */
    public static function wasSealed(Situation $at): bool
    {
        return ($at->job->running()->neck($at->step) ?? Neck::Sealed)->holdsPressure();
    }

    /** Whether it was sealed when the engine last ran, and nothing says that it has become cold since. */
    public static function mayBeUnderPressure(Situation $at): bool
    {
        $ran = self::lastRan($at);

        return $ran !== null && self::wasSealed($at) && ! self::wasCold($at, $ran, PHP_INT_MAX);
    }

    /** Whether it was read cold, felt cool, or had stood long enough, standing, between two moments. */
    public static function wasCold(Situation $at, int $from, int $until): bool
    {
        $within = fn (int $moment): bool => $moment >= $from && $moment <= $until;
        foreach (self::standing($at->job) as $read) {
            if ($within($read->at()) && self::mayBeOpened($at, $read->celsius)) {
                return true;
            }
        }
        foreach ($at->job->observedAnywhere(CoolToTheHand::class) as $felt) {
            if ($within($felt->at())) {
                return true;
            }
        }
        foreach ($at->job->observedAnywhere(Rested::class) as $rested) {
            if ($within($rested->at()) && $rested->seconds >= self::restedS($at)) {
                return true;
            }
        }

        return false;
    }

    /** The coolant as it was read last since the engine ran, standing, °C; null where nobody did. */
    public static function readSinceItRan(Situation $at): ?float
    {
        $read = null;
        foreach (self::standing($at->job) as $one) {
            $read = $one->at() >= (self::lastRan($at) ?? 0) ? $one->celsius : $read;
        }

        return $read;
    }

    /** The coolant as it was read, standing, just now: nobody reads it twice; °C. */
    public static function readJustNow(Situation $at): ?float
    {
        $read = self::standing($at->job);
        $last = $read === [] ? null : $read[count($read) - 1];

        return $last !== null
            && $at->now - $last->at() <= self::JUST_NOW_S
            && $last->at() >= (self::lastRan($at) ?? 0)
            ? $last->celsius
            : null;
    }

    /**
     * Whether it was felt cool, or had stood long enough, a little while before a moment: nobody who had no thermometer
     * then is asked to read one at the neck.
     */
    public static function wasColdUnread(Situation $at, int $moment): bool
    {
        $ran = self::lastRan($at) ?? 0;
        foreach ([CoolToTheHand::class, Rested::class] as $what) {
            foreach ($at->job->observedAnywhere($what) as $told) {
                $long = $told instanceof CoolToTheHand || $told->seconds >= self::restedS($at);
                if (
                    $long
                    && $moment >= $told->at()
                    && $moment - $told->at() <= self::JUST_NOW_S
                    && $told->at() >= $ran
                ) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<CoolantRead> of an engine that stood, in order of time */
    private static function standing(JobState $job): array
    {
        $stands = fn (CoolantRead $read): bool => ! $job->kinds
            ->of($job->steps[$read->told()->step])
            ->does(Does::RunsEngine);

        return array_values(array_filter($job->observedAnywhere(CoolantRead::class), $stands));
    }

    /** Never less than a usual engine’s time: a small one is not trusted to be cold sooner. */
    private static function slowness(Situation $at): float
    {
        $plan = Plan::of($at);
        $slower = max(1.0, $plan->choices->shelter->slower()) * max(1.0, $plan->rules()->coolingFactor);

        return max(1.0, CoolingBody::of($at->circuit()->capacityMl())->slowness() * $slower / self::USUAL_UP_TO);
    }
}
