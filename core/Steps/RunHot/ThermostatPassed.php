<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\RunHot;

use Aqbel\Core\Circuit\Facts;
use Aqbel\Core\Job\Entry;

/** Whether a reading shows that hot coolant goes through the thermostat: both sides warm, and near each other. */
final class ThermostatPassed
{
    /** Within this of the engine side the far side counts as reached (common practice, no source). */
    private const GAP_C = 15.0;

    /** Where a thermostat starts to open when the manual does not say (common practice, no source). */
    private const USUAL_START_C = 75.0;

    public static function at(Facts $facts, Entry $reading): bool
    {
        $ect = $reading->number('ect');

        return $ect >= ($facts->thermostatStartC ?? self::USUAL_START_C)
            && $ect - $reading->number('far') <= self::GAP_C;
    }
}
