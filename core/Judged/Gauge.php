<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;

/** The shop's vacuum gauge: what it can show here, and how finely. */
final class Gauge
{
    /** What is left of the old coolant is as warm as the shop, °C. */
    private const SHOP_C = 20.0;

    public static function air(Situation $at): Atmosphere
    {
        return Plan::of($at)->choices->atmosphere();
    }

    public static function resolution(Situation $at): Pressure
    {
        return Pressure::inchesOfMercury(Plan::of($at)->rules()->gaugeResolutionInHg);
    }

    /** Below its own vapour no coolant lets the needle go. */
    public static function vapour(Situation $at): Pressure
    {
        return $at->facts()->coolant()->vapourPressure(Temperature::celsius(self::SHOP_C));
    }

    /** No needle stands deeper than this here, kPa below the air. */
    public static function deepestKpa(Situation $at): float
    {
        return self::air($at)->pressure->kPa() - self::vapour($at)->kPa();
    }
}
