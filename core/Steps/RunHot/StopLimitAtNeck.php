<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\RunHot;

use Aqbel\Core\Heat\StopLimit;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Origin;

/** Where the run must stop, for the neck as it stands: sealed under its cap, or at the pressure of the shop's air. */
final class StopLimitAtNeck
{
    /** Stronger mixtures are no coolant, and boil no earlier than this one is taken to. */
    private const STRONGEST = 0.7;

    /** °C. */
    public static function boiling(Situation $at, Mixture $coolant, float $capKpa): float
    {
        $pressure = Plan::of($at)->choices->atmosphere()->pressure->kPa() + $capKpa;

        return $coolant->boilingPoint(Pressure::kilopascals($pressure))->degC();
    }

    /** The coolant as last read, against the temperature at which the engine is shut off. */
    public static function figure(Situation $at, StopLimit $limit): Figure
    {
        $read = $at->last('reading')?->number('ect');

        return new Figure('Coolant', $read, Dimension::Temperature, Origin::Measured, $limit->limit->degC(), 'shut down');
    }

    /** With the mixture the ledger knows, or the target while it knows none. */
    public static function of(Situation $at, Neck $neck): StopLimit
    {
        $facts = $at->facts();
        $coolant = new Mixture(
            $facts->base,
            min(self::STRONGEST, $at->job->ledger()->fraction() ?? $facts->targetFraction),
        );
        $optional = fn (?float $celsius) => $celsius === null ? null : Temperature::celsius($celsius);

        return new StopLimit(
            Temperature::celsius(
                self::boiling($at, $coolant, $neck === Neck::Sealed ? $facts->capOrNothingKpa() : 0.0),
            ),
            $optional($facts->fanOnC),
            $optional($facts->limitC),
        );
    }
}
