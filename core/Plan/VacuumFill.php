<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Vacuum\VacuumPlan;

/** What a vacuum would be pulled to in a circuit as it is drained, draw in, and leave. */
final class VacuumFill
{
    /** A circuit that has stood over night in the shop. */
    private const SHOP_C = 20.0;

    public static function of(Circuit $circuit, Choices $choices, Prediction $predicted): VacuumPlan
    {
        return new VacuumPlan(
            $choices->atmosphere(),
            Pressure::inchesOfMercury($choices->rules->seaLevelVacuumInHg),
            Volume::millilitres($predicted->neededMl + $predicted->headspaceMl),
            Volume::millilitres($predicted->headspaceMl),
            Temperature::celsius(self::SHOP_C),
            $circuit->facts->coolant(),
        );
    }

    /** Of the air in a pocket that a pour would trap, what stays there. */
    public static function leaves(VacuumPlan $vacuum, Prediction $predicted): float
    {
        return $vacuum->topUp()->mL() / max(1.0, $predicted->neededMl + $predicted->headspaceMl);
    }
}
