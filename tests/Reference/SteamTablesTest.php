<?php

declare(strict_types=1);

namespace Tests\Reference;

use Aqbel\Core\Matter\Water;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;
use PHPUnit\Framework\TestCase;

/** Against python3-iapws, an independent implementation of IAPWS-IF97, on a grid. */
final class SteamTablesTest extends TestCase
{
    public function test_the_saturation_line_agrees_on_a_grid(): void
    {
        $script = 'import json;from iapws._iapws import *;from iapws.iapws97 import _PSat_T,_TSat_P;'
            .'print(json.dumps([[t,_PSat_T(t+273.15)*1000] for t in range(1,371,3)]+[[_TSat_P(p/1000)-273.15,p] for '
            .'p in range(1,400,7)]))';
        $rows = json_decode((string) shell_exec('/usr/bin/python3 -W ignore -c '.escapeshellarg($script)), true);
        self::assertIsArray($rows, 'python3-iapws did not answer');
        self::assertGreaterThan(150, count($rows));
        foreach ($rows as [$celsius, $kpa]) {
            self::assertEqualsWithDelta(
                $kpa,
                Water::saturationPressure(Temperature::celsius($celsius))->kPa(),
                1e-6 * $kpa,
            );
            self::assertEqualsWithDelta(
                $celsius,
                Water::saturationTemperature(Pressure::kilopascals($kpa))->degC(),
                1e-4,
            );
        }
    }

    /** IAPWS R7-97(2012), tables 35 and 36: the release's own check values, from memory. */
    public function test_the_releases_own_check_values(): void
    {
        self::assertEqualsWithDelta(
            3.53658941,
            Water::saturationPressure(Temperature::celsius(300 - 273.15))->kPa(),
            1e-6,
        );
        self::assertEqualsWithDelta(
            2638.89776,
            Water::saturationPressure(Temperature::celsius(500 - 273.15))->kPa(),
            1e-3,
        );
        self::assertEqualsWithDelta(
            372.755919 - 273.15,
            Water::saturationTemperature(Pressure::kilopascals(100))->degC(),
            1e-5,
        );
    }
}
