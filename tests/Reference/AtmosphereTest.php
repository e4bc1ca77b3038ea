<?php

declare(strict_types=1);

namespace Tests\Reference;

use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Quantity\Length;
use PHPUnit\Framework\TestCase;

/** Against the npm library psychrolib (ASHRAE Handbook—Fundamentals), on a grid. */
final class AtmosphereTest extends TestCase
{
    public function test_the_standard_atmosphere_agrees_on_a_grid(): void
    {
        $script = 'const p=require("psychrolib");p.SetUnitSystem(p.SI);const r=[];for(let '
            .'h=-400;h<=5000;h+=60)r.push([h,p.GetStandardAtmPressure(h)/1000]);console.log(JSON.stringify(r))';
        $rows = json_decode(
            (string) shell_exec('cd '.escapeshellarg(dirname(__DIR__, 2)).' && node -e '.escapeshellarg($script)),
            true,
        );
        self::assertIsArray($rows, 'psychrolib did not answer');
        self::assertGreaterThan(80, count($rows));
        foreach ($rows as [$metres, $kpa]) {
            self::assertEqualsWithDelta($kpa, Atmosphere::atElevation(Length::metres($metres))->pressure->kPa(), 1e-3);
        }
    }
}
