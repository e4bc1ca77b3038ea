<?php

declare(strict_types=1);

namespace Tests\Reference;

use Aqbel\Core\Ledger\Ledger;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Mixing\Mix;
use Aqbel\Core\Quantity\Length;
use Aqbel\Core\Quantity\Typed;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\Volume;
use PHPUnit\Framework\TestCase;

/** What the trade knows by heart, as check values. All of it: common practice, no source. */
final class TradePracticeTest extends TestCase
{
    /** Common practice, no source: bottled coolant of 40, 50, 60 % protects to about −24, −36, −52 °C. */
    public function test_strengths_on_the_bottle(): void
    {
        foreach ([[0.40, -24.0], [0.50, -36.0]] as [$share, $label]) {
            self::assertEqualsWithDelta($label, (new Mixture(Glycol::Ethylene, $share))->freezePoint()->degC(), 2.0);
        }
        // The table of the handbook ends before 60 % by volume: what is given is a bound, and the label agrees with it.
        $strong = new Mixture(Glycol::Ethylene, 0.60);
        self::assertTrue($strong->freezeIsBound());
        self::assertGreaterThan(-52.0, $strong->freezePoint()->degC());
        foreach ([-24.0 => 0.40, -36.0 => 0.50] as $freeze => $share) {
            self::assertEqualsWithDelta(
                $share,
                Mixture::freezingAt(Glycol::Ethylene, \Aqbel\Core\Quantity\Temperature::celsius((float) $freeze))
                    ->volumeFraction,
                0.02,
            );
        }
    }

    /** Common practice, no source: a 7.9 qt circuit that takes two jugs, 128 and 118 fl oz, is 97 % accounted for. */
    public function test_two_jugs_in_a_7_9_quart_circuit(): void
    {
        $ml = fn (string $typed): float => Typed::parse($typed, Unit::Litre)->base;
        $ledger = new Ledger(
            $ml('7.9 qt'),
            0.0,
            [
                new Line('first jug', $ml('128 fl oz'), $ml('1 fl oz'), 0.5),
                new Line('second jug', $ml('118 fl oz'), $ml('1 fl oz'), 0.5),
            ],
        );
        self::assertEqualsWithDelta(0.97, $ledger->contentMl / $ledger->capacityMl, 0.005);
        self::assertEqualsWithDelta(6.8, Unit::FluidOunce->fromBase($ledger->trappedAirMl()), 0.1);
        self::assertGreaterThan(
            $ledger->plusMinusMl,
            $ledger->trappedAirMl(),
            'the missing three percent are more than the reading error',
        );
    }

    /** Common practice, no source: 15 ft·lb is 20.3 N·m. */
    public function test_a_plug_torque(): void
    {
        self::assertEqualsWithDelta(20.3, Typed::parse('15 ft·lb', Unit::NewtonMetre)->base, 0.05);
        self::assertEqualsWithDelta(
            15.0,
            Unit::FootPound->fromBase(Typed::parse('20,3 Nm', Unit::FootPound)->base),
            0.05,
        );
    }

    /** Common practice, no source: half and half in an empty circuit is half of the capacity each. */
    public function test_half_and_half(): void
    {
        $mix = new Mix(Volume::millilitres(9000), Volume::millilitres(0), 0.0, 0.5);
        self::assertEqualsWithDelta(4500, $mix->stock()->mL(), 1e-6);
        self::assertEqualsWithDelta(4500, $mix->water()->mL(), 1e-6);
    }

    /**
     * ASHRAE/ICAO standard atmosphere and IAPWS-IF97 region 4: water boils at 95.2 °C at 1,420 m, before most fans
     * come on.
     */
    public function test_a_plain_water_rinse_at_1420_m(): void
    {
        self::assertEqualsWithDelta(
            95.2,
            Mixture::water()->boilingPoint(Atmosphere::atElevation(Length::metres(1420))->pressure)->degC(),
            0.1,
        );
    }
}
