<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Vacuum;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Saying\Field;

/** The shop's vacuum gauge: what it can show here, and how finely. */
final class Gauge
{
    /** No needle stands nearer to an absolute vacuum, kPa. */
    private const LEAST_ABSOLUTE_KPA = 0.5;

    public static function air(Situation $at): Atmosphere
    {
        return Plan::of($at)->choices->atmosphere();
    }

    public static function resolution(Situation $at): Pressure
    {
        return Pressure::inchesOfMercury(Plan::of($at)->rules()->gaugeResolutionInHg);
    }

    public static function field(Situation $at, string $label): Field
    {
        return Field::vacuum('vacuum', $label, self::air($at)->pressure->kPa() - self::LEAST_ABSOLUTE_KPA);
    }
}
