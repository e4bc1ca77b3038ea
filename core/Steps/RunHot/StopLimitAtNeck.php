<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\RunHot;

use Aqbel\Core\Heat\StopLimit;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;

/** Where the run must stop, for the neck as it stands: sealed under its cap, or at the pressure of the shop's air. */
final class StopLimitAtNeck
{
    public static function boiling(Situation $at, Mixture $coolant, float $capKpa): float
    {
        $pressure = $at->job->plan->input->atmosphere()->pressure->kPa() + $capKpa;

        return $coolant->boilingPoint(Pressure::kilopascals($pressure))->degC();
    }

    /** With the mixture the ledger knows, or the target while it knows none. */
    public static function of(Situation $at, string $neck): StopLimit
    {
        $facts = $at->facts();
        $coolant = new Mixture($facts->base, min(0.7, $at->job->ledger()->fraction() ?? $facts->targetFraction));
        $optional = fn (?float $celsius) => $celsius === null ? null : Temperature::celsius($celsius);

        return new StopLimit(
            Temperature::celsius(self::boiling($at, $coolant, $neck === 'sealed' ? $facts->capOrNothingKpa() : 0.0)),
            $optional($facts->fanOnC), $optional($facts->limitC),
        );
    }
}
