<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\RunHot;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;

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

    /** At an outlet this counts as really hot, °C. */
    public static function hotFrom(Situation $at, Entry $reading): float
    {
        return self::between($at, $reading, self::isBlowerHigh($at, $reading) ? self::HOT_BLOWER_HIGH : self::HOT, self::HOT_C);
    }

    /** At an outlet this counts as cold on a hot engine, °C. */
    public static function coldBelow(Situation $at, Entry $reading): float
    {
        return self::between($at, $reading, self::COLD, self::COLD_C);
    }

    /** The air outside at a reading, as it was read last before it, °C; null where nobody did. */
    public static function outside(Situation $at, Entry $reading): ?float
    {
        return self::known($at, $reading->at);
    }

    /** The air as it was read last before a moment, °C; null where nobody did, or it was another day’s. */
    public static function known(Situation $at, int $moment): ?float
    {
        $air = null;
        foreach ($at->job->entries as $entry) {
            $holds = $entry->at <= $moment && $moment - $entry->at <= self::STILL_HOLDS_S;
            $air = $holds ? $entry->number('air') ?? $entry->number('outside') ?? $air : $air;
        }

        return $air;
    }

    private static function between(Situation $at, Entry $reading, float $share, float $unknown): float
    {
        $air = self::outside($at, $reading);
        $coolant = (float) $reading->number('ect');

        return $air === null || $coolant <= $air ? $unknown : $air + $share * ($coolant - $air);
    }

    private static function isBlowerHigh(Situation $at, Entry $reading): bool
    {
        $high = false;
        foreach ($at->entries(EngineHold::FORM) as $held) {
            $high = $held->at <= $reading->at && str_starts_with($held->text('speed'), 'blower') ? $held->text('speed') === EngineHold::BLOWER_HIGH : $high;
        }

        return $high;
    }
}
