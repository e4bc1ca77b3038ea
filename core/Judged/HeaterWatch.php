<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Heat\StopLimit;
use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\FeltReading;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Observed\Needle;
use Aqbel\Core\Observed\ShutOff;
use Aqbel\Core\Observed\Warmth;

/**
 * A heater that blows cold on a hot engine: below the limit, and as long as it does not climb, a watch of some
 * minutes in which revs may let the air through; a danger once they pass, or it climbs, or it is shut off without.
 */
final readonly class HeaterWatch
{
    /** So long revs may take to let the air through, s (common practice, no source). */
    public const LONGEST_S = 180;

    /** From so far below full open on, the heater must be warm (common practice, no source). */
    private const FROM_C = 5.0;

    /** Where the manual does not say where the thermostat is wide open, °C (common practice, no source). */
    private const USUAL_FULL_C = 95.0;

    /** Within a watch it climbs when it has risen by more than this, °C (common practice, no source). */
    private const CLIMBS_C = 2.0;

    /** So far below the limit it may be revved, and no nearer, °C (common practice, no source). */
    private const REVS_BELOW_C = 5.0;

    /**
     * @param  ?Observation  $since  the first cold outlet of the watch that goes on, or of the one that failed
     * @param  ?int  $failedAt  Unix seconds; null where none failed
     * @param  ?Observation  $cleared  the outlet that turned hot in time: evidence that air went through
     * @param  bool  $mayBeRevved  far enough below the limit
     */
    private function __construct(
        public ?Observation $since,
        public ?int $failedAt,
        public ?Observation $cleared,
        public bool $mayBeRevved,
    ) {
    }

    public static function of(Situation $at, StopLimit $limit): self
    {
        return $at->judged(self::class.$limit->limit->degC(), fn () => self::work($at, $limit));
    }

    private static function work(Situation $at, StopLimit $limit): self
    {
        $readings = InOrder::of($at, [HotReading::class, FeltReading::class], struckToo: true);
        [$since, $cleared, $hottest] = [null, null, null];
        foreach ($readings as $reading) {
            $coolant = $reading instanceof HotReading ? $reading->coolantC : null;
            $cold = $reading instanceof HotReading ? self::isCold($at, $reading) : self::feelsCold($reading);
            if ($since !== null && $reading->told()->at > $since->told()->at + self::LONGEST_S) {
                return new self($since, $since->told()->at + self::LONGEST_S, $cleared, false);
            }
            if ($since !== null && ! $cold) {
                [$since, $cleared, $hottest] = [null, $reading, null];
            }
            if ($cold) {
                $climbs
                    = $since !== null && $coolant !== null && $hottest !== null && $coolant > $hottest + self::CLIMBS_C;
                $since ??= $reading;
                $hottest = $coolant ?? $hottest;
                if ($climbs) {
                    return new self($since, $reading->told()->at, $cleared, false);
                }
            }
        }
        if ($since === null) {
            return new self(null, null, $cleared, false);
        }
        $off = $at->latest(ShutOff::class)?->at();
        $until = $since->told()->at + self::LONGEST_S;
        $failed = $off !== null && $off >= $since->told()->at ? min($off, $until) : ($at->now > $until ? $until : null);

        return new self(
            $since,
            $failed,
            $cleared,
            $hottest === null || $hottest < $limit->limit->degC() - self::REVS_BELOW_C,
        );
    }

    /** Whether a watch goes on now. */
    public function goesOn(): bool
    {
        return $this->since !== null && $this->failedAt === null;
    }

    /** When it ends, Unix seconds. */
    public function until(): int
    {
        return ($this->since?->told()->at ?? 0) + self::LONGEST_S;
    }

    private static function isCold(Situation $at, HotReading $reading): bool
    {
        $full = $at->facts()->thermostatFullC ?? self::USUAL_FULL_C;

        return $reading->coolantC >= $full - self::FROM_C && $reading->outletsC !== []
            && min($reading->outletsC) < HeaterAir::coldBelow($at, $reading);
    }

    /** The engine is warm, and so is what it pumps: where the heater is cold then, air stands in it. */
    private static function feelsCold(FeltReading $felt): bool
    {
        return $felt->feltAColdOutlet() && $felt->needle !== Needle::Low && $felt->hose === Warmth::Hot;
    }
}
