<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\HeldAtSpeed;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Observed\OutsideAir;

/**
 * What the heater blows, judged between the outside air it takes in and the coolant that warms it: a core full of
 * moving coolant brings it well past the middle. The shares are common practice, no source.
 */
final class HeaterAir
{
    /** From here on it is really hot, as a share of the way from the air to the coolant. */
    private const HOT = 0.5;

    /** With the blower high the air has less time in the core. */
    private const HOT_BLOWER_HIGH = 0.35;

    /** Below this nothing hot moves through the core. */
    private const COLD = 0.2;

    /** Where nobody read the air outside: as at 20 °C, with the coolant at 90. */
    private const HOT_C = 55.0;

    private const COLD_C = 35.0;

    /** Air outside read longer ago than this is another day’s. */
    private const STILL_HOLDS_S = 12 * 3600;

    /** Air is never hotter than what warms it, sensors apart, °C (common practice, no source). */
    public const SENSORS_C = 10.0;

    /** At an outlet this counts as really hot, °C; never less than on an engine whose thermostat opens. */
    public static function hotFrom(Situation $at, HotReading $reading): float
    {
        return self::between(
            $at,
            $reading,
            max($reading->coolantC, HotProofs::opensC($at->circuit())),
            self::isBlowerHigh($at, $reading) ? self::HOT_BLOWER_HIGH : self::HOT,
            self::HOT_C,
        );
    }

    /** At an outlet this counts as cold on a hot engine, °C. */
    public static function coldBelow(Situation $at, HotReading $reading): float
    {
        return self::between($at, $reading, $reading->coolantC, self::COLD, self::COLD_C);
    }

    /** Whether an outlet can be as hot as it was read: nothing is warmed past what warms it. */
    public static function canBe(float $outletC, float $coolantC): bool
    {
        return $outletC <= $coolantC + self::SENSORS_C;
    }

    /** The air as it was read last before a moment, °C; null where nobody did, or it was another day’s. */
    public static function outsideC(JobState $job, int $moment): ?float
    {
        $celsius = null;
        foreach ($job->observedAnywhere(OutsideAir::class) as $air) {
            $holds = $air->at() <= $moment && $moment - $air->at() <= self::STILL_HOLDS_S;
            $celsius = $holds ? $air->celsius : $celsius;
        }

        return $celsius;
    }

    private static function between(
        Situation $at,
        HotReading $reading,
        float $coolantC,
        float $share,
        float $unknown,
    ): float {
        $air = self::outsideC($at->job, $reading->at());

        return $air === null || $coolantC <= $air ? $unknown : $air + $share * ($coolantC - $air);
    }

    private static function isBlowerHigh(Situation $at, HotReading $reading): bool
    {
        $high = false;
        foreach ($at->observed(HeldAtSpeed::class) as $held) {
            $high = $held->at() <= $reading->at() && $held->setsTheBlower() ? $held->setsTheBlowerHigh() : $high;
        }

        return $high;
    }
}
