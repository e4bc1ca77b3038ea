<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Heat\StopLimit;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;

/** Where the run must stop, for the neck as it stands: sealed under its cap, or at the pressure of the shop's air. */
final class StopLimitAtNeck
{
    /**
     * No engine is to get hotter than this where neither its own limit
     * nor its fan is known, °C (common practice, no source).
     */
    private const USUAL_C = 115.0;

    /** °C. */
    public static function boiling(Situation $at, Mixture $coolant, float $capKpa): float
    {
        $pressure = Plan::of($at)->choices->atmosphere()->pressure->kPa() + $capKpa;

        return $coolant->boilingPoint(Pressure::kilopascals($pressure))->degC();
    }

    /**
     * With what the ledger says is inside, or what is wanted, whichever boils earlier: a sum that went wrong never
     * raises a limit.
     */
    public static function of(Situation $at, Neck $neck): StopLimit
    {
        $facts = $at->facts();
        $wanted = max($facts->targetFraction, Plan::of($at)->choices->targetFraction);
        $coolant = new Mixture($facts->base, min($at->job->ledger()->fraction() ?? $facts->targetFraction, $wanted));
        $optional = fn (?float $celsius) => $celsius === null ? null : Temperature::celsius($celsius);

        return new StopLimit(
            Temperature::celsius(
                self::boiling($at, $coolant, $neck->holdsPressure() ? $facts->capOrNothingKpa() : 0.0),
            ),
            $optional($facts->fanOnC),
            $optional($facts->limitC),
            $facts->limitC === null && $facts->fanOnC === null ? Temperature::celsius(self::USUAL_C) : null,
        );
    }
}
