<?php

declare(strict_types=1);

namespace App\Shop;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Field;

/** How high a shop stands, by its own word or by a barometer there; metres. */
final class Elevation
{
    private const MM_PER_M = 1000.0;

    public static function field(): Field
    {
        return Field::length(
            'elevation',
            'Elevation above sea level',
            -400.0 * self::MM_PER_M,
            5000.0 * self::MM_PER_M,
        )->in(Unit::Metre);
    }

    public static function barometer(): Field
    {
        return Field::pressure('barometer', 'or what a barometer reads here', 110.0, false);
    }

    /**
     * @param  ?float  $elevationMm  as typed
     * @param  ?float  $barometerKpa  as typed; where it is given it counts
     *
     * @throws InvalidField where no barometer reads that
     */
    public static function of(?float $elevationMm, ?float $barometerKpa): float
    {
        if ($barometerKpa === null) {
            return round((float) $elevationMm / self::MM_PER_M, 1);
        }
        try {
            return round(Atmosphere::ofBarometer(
                Pressure::kilopascals($barometerKpa),
            )->elevation()->mm() / self::MM_PER_M);
        } catch (InvalidField $impossible) {
            throw new InvalidField('barometer', $impossible->getMessage());
        }
    }
}
