<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Observed\NeedleRead;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;

/** The shop's vacuum gauge: what it can show here, and how finely. */
final class Gauge
{
    /** What is left of the old coolant is as warm as the shop, °C. */
    private const SHOP_C = 20.0;

    /** In which its needle is read; that in which it was read, where the job was planned for thinner air since. */
    public static function air(Situation $at): Atmosphere
    {
        return $at->job->once(__METHOD__, function () use ($at): Atmosphere {
            $air = Plan::of($at)->choices->atmosphere();
            foreach ($at->job->observedAnywhere(NeedleRead::class) as $read) {
                if ($read->kPa($air) > $air->pressure->kPa() - self::vapour($at)->kPa()) {
                    return Plan::of($at->job->upTo($read->told()->seq))->choices->atmosphere();
                }
            }

            return $air;
        });
    }

    /** What is to be pulled here: the same quality of vacuum as the house pulls at the sea, kPa below the air. */
    public static function targetKpa(Situation $at): float
    {
        return self::air($at)
            ->sameQuality(Pressure::inchesOfMercury(Plan::of($at)->rules()->seaLevelVacuumInHg))
            ->kPa();
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
