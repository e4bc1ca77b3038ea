<?php

declare(strict_types=1);

namespace Aqbel\Core\Matter;

use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;

/** Pure water: the saturation line and the density. */
final class Water
{
    /** Coefficients of IAPWS-IF97, region 4 (IAPWS R7-97(2012), table 34). */
    private const N = [
        1 => 0.11670521452767e4, -0.72421316703206e6, -0.17073846940092e2, 0.12020824702470e5, -0.32325550322333e7,
        0.14915108613530e2, -0.48232657361591e4, 0.40511340542057e6, -0.23855557567849, 0.65017534844798e3,
    ];

    /**
     * Saturation pressure. IAPWS-IF97 equation 30, stated for 0 to 373.946 °C; below freezing it is continued
     * (supercooled water), which is all a cold shop needs.
     */
    public static function saturationPressure(Temperature $temperature): Pressure
    {
        $n = self::N;
        $kelvin = $temperature->degC() + 273.15;
        $theta = $kelvin + $n[9] / ($kelvin - $n[10]);
        $a = $theta ** 2 + $n[1] * $theta + $n[2];
        $b = $n[3] * $theta ** 2 + $n[4] * $theta + $n[5];
        $c = $n[6] * $theta ** 2 + $n[7] * $theta + $n[8];

        return Pressure::kilopascals(1000.0 * (2.0 * $c / (-$b + sqrt($b ** 2 - 4.0 * $a * $c))) ** 4);
    }

    /** Saturation temperature. IAPWS-IF97 equation 31, 0.611 kPa to 22.064 MPa. */
    public static function saturationTemperature(Pressure $pressure): Temperature
    {
        $n = self::N;
        $beta = ($pressure->kPa() / 1000.0) ** 0.25;
        $e = $beta ** 2 + $n[3] * $beta + $n[6];
        $f = $n[1] * $beta ** 2 + $n[4] * $beta + $n[7];
        $g = $n[2] * $beta ** 2 + $n[5] * $beta + $n[8];
        $d = 2.0 * $g / (-$f - sqrt($f ** 2 - 4.0 * $e * $g));
        $kelvin = ($n[10] + $d - sqrt(($n[10] + $d) ** 2 - 4.0 * ($n[9] + $n[10] * $d))) / 2.0;

        return Temperature::celsius($kelvin - 273.15);
    }

    /** Density in kg/m³ at atmospheric pressure. G. S. Kell, J. Chem. Eng. Data 20 (1975) 97, equation 16. */
    public static function density(Temperature $temperature): float
    {
        $t = $temperature->degC();
        $numerator = 999.83952 + $t * (
            16.945176 + $t * (-7.9870401e-3 + $t * (-46.170461e-6 + $t * (105.56302e-9 - $t * 280.54253e-12)))
        );

        return $numerator / (1.0 + 16.879850e-3 * $t);
    }
}
