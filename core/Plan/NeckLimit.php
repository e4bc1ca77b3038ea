<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Heat\StopLimit;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;

/** Where a run must end in a place, as the neck stands: sealed under its cap, or at the pressure of the air there. */
final class NeckLimit
{
    /**
     * No engine is to get hotter than this where neither its own limit
     * nor its fan is known, °C (common practice, no source).
     */
    private const USUAL_C = 115.0;

    /** A thermostat that has only started to open warms nothing behind it, K (common practice, no source). */
    private const OPENED_K = 3.0;

    public static function of(Circuit $circuit, Choices $choices, Mixture $coolant, Neck $neck): StopLimit
    {
        $facts = $circuit->facts;
        $optional = fn (?float $celsius) => $celsius === null ? null : Temperature::celsius($celsius);

        return new StopLimit(
            self::boiling($choices, $coolant, $neck->holdsPressure() ? $facts->capOrNothingKpa() : 0.0),
            $optional($facts->fanOnC),
            $optional($facts->limitC),
            $facts->limitC === null && $facts->fanOnC === null ? Temperature::celsius(self::USUAL_C) : null,
        );
    }

    /** @param  float  $overKpa  over the air of the place */
    public static function boiling(Choices $choices, Mixture $coolant, float $overKpa): Temperature
    {
        return $coolant->boilingPoint(Pressure::kilopascals($choices->atmosphere()->pressure->kPa() + $overKpa));
    }

    /**
     * Whether a run that is warmed up so is shut off before its thermostat opens, and one under a tight cap is not:
     * nothing on the far side is ever shown, however often it is run so. With what is wanted inside.
     */
    public static function endsTooEarly(Circuit $circuit, Choices $choices, WarmUp $warmUp): bool
    {
        $coolant = new Mixture($circuit->facts->base, $choices->targetFraction);

        $shows = fn (Neck $neck): bool => self::showsTheFarSide(
            $circuit,
            self::of($circuit, $choices, $coolant, $neck),
        );

        return $warmUp->staysUnsealed() && ! $shows($warmUp->neck()) && $shows(Neck::Sealed);
    }

    /** Whether a run up to this limit can show heat behind the thermostat; also where there is none. */
    public static function showsTheFarSide(Circuit $circuit, StopLimit $limit): bool
    {
        $opensC = $circuit->opensAtC();

        return $opensC === null || $limit->reaches($opensC + self::OPENED_K);
    }
}
