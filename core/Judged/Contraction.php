<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Observed\Capped;
use Aqbel\Core\Observed\CoolantRead;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Observed\StandsAtLine;
use Aqbel\Core\Observed\ToppedUp;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Temperature;

/**
 * What the coolant shrinks by, from the temperature at which it was last brought to its mark to the one at which the
 * level is read: the mixture’s own, of the whole content. A cold look after a hot top-up takes that first, then air.
 */
final readonly class Contraction
{
    /** Where nobody read how hot it was: as by needle and hand, °C, and so far apart (common practice, no source). */
    private const HOT_C = 88.0;

    private const UNREAD_C = 12.0;

    /**
     * Read, the whole content is as warm as the reading to so much, °C:
     * radiator and heater are cooler (common practice, no source).
     */
    private const READ_C = 8.0;

    /** Where nobody read how cold it is: the shop, °C. */
    private const COLD_C = 20.0;

    /** So near the cold mark nothing is told apart, °C. */
    private const SAME_C = 5.0;

    private function __construct(public float $ml, public float $plusMinusMl)
    {
    }

    /** What a level read at this step shrank by since it was last brought to its mark, hot. */
    public static function at(Situation $at): self
    {
        $run = self::lastTouchedHot($at);
        if ($run === null) {
            return new self(0.0, 0.0);
        }
        $hot = $run->latest(HotReading::class)?->coolantC;
        $cold = $at->latest(CoolantRead::class)->celsius ?? self::readBefore($at) ?? self::COLD_C;
        $from = $hot ?? self::HOT_C;
        if ($from - $cold < self::SAME_C) {
            return new self(0.0, 0.0);
        }
        $content = $at->job->ledger()->contentMl;
        $ml = self::share($at, $from, $cold) * $content;
        $off = $hot === null ? self::UNREAD_C : self::READ_C;

        return new self($ml, abs(self::share($at, $from + $off, $cold) * $content - $ml));
    }

    /** What the coolant grew by, from the last level read cold to the one read at this step, mL; no less than none. */
    public static function grownMl(Situation $at): float
    {
        $before = $at->job->before($at->step, $at->step->kind);
        $was = $before === null ? null : $at->seenFrom($before)->latest(CoolantRead::class)?->celsius;
        $is = $at->latest(CoolantRead::class)->celsius ?? self::readBefore($at) ?? self::COLD_C + self::UNREAD_C;
        $from = $was ?? self::COLD_C - self::UNREAD_C;

        return max(0.0, -self::share($at, $from, $is) * $at->job->ledger()->contentMl);
    }

    /** By which share the content is smaller, from one temperature to another. */
    private static function share(Situation $at, float $fromC, float $toC): float
    {
        $facts = $at->facts();
        $mixture = new Mixture(
            $facts->base,
            min(1.0, $at->job->ledger()->fraction() ?? Plan::of($at)->choices->targetFraction),
        );

        return 1.0 - $mixture->density(Temperature::celsius($fromC)) / $mixture->density(Temperature::celsius($toC));
    }

    /**
     * The run before a step, where its level was brought to the line, or looked at, while it was hot; null where not.
     */
    private static function lastTouchedHot(Situation $at): ?Situation
    {
        $cycle = WarmedUp::before($at);
        if ($cycle === null || ! self::isTheLastBefore($at, $cycle)) {
            return null;
        }
        $run = $at->seenFrom($cycle);
        foreach ([StandsAtLine::class, ToppedUp::class, Capped::class] as $what) {
            if ($run->observed($what) !== []) {
                return $run;
            }
        }

        return null;
    }

    /** Whether no level was read cold between a run and a step. */
    private static function isTheLastBefore(Situation $at, Step $run): bool
    {
        $level = $at->job->before($at->step, $at->step->kind);

        return $level === null || $at->job->placeOf($level) < $at->job->placeOf($run);
    }

    /** The coolant as it was read while it cooled down before this step, °C. */
    private static function readBefore(Situation $at): ?float
    {
        $cooled = $at->job->before($at->step, 'cool_down');

        return $cooled === null ? null : $at->seenFrom($cooled)->latest(CoolantRead::class)?->celsius;
    }
}
