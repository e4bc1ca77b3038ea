<?php

declare(strict_types=1);

namespace Tests\Core\Matter;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Mixing\Mix;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\Volume;
use PHPUnit\Framework\TestCase;

final class MixtureTest extends TestCase
{
    /**
     * ASHRAE Handbook—Fundamentals lists 107.8 °C at 53 % by mass, from memory; with a 15 psi cap 265 °F is common
     * practice, no source.
     */
    public function test_half_and_half_boils_where_the_handbooks_say(): void
    {
        $coolant = new Mixture(Glycol::Ethylene, 0.5);
        self::assertEqualsWithDelta(107.8, $coolant->boilingPoint(Pressure::kilopascals(101.325))->degC(), 0.4);
        self::assertEqualsWithDelta(
            129.4,
            $coolant->boilingPoint(Pressure::kilopascals(101.325 + 103.42))->degC(),
            1.0,
        );
    }

    /** Common practice, no source: 40/50/60 % by volume protect to about −24/−36/−52 °C. */
    public function test_bottled_strengths_freeze_where_the_labels_say(): void
    {
        foreach ([[0.4, -24.0], [0.5, -36.0]] as [$fraction, $label]) {
            self::assertEqualsWithDelta($label, (new Mixture(Glycol::Ethylene, $fraction))->freezePoint()->degC(), 2.0);
        }
        $strong = new Mixture(Glycol::Ethylene, 0.6);
        self::assertTrue($strong->freezeIsBound());
        self::assertSame(-48.3, $strong->freezePoint()->degC());
        self::assertFalse((new Mixture(Glycol::Ethylene, 0.5))->freezeIsBound());
    }

    /**
     * ASHRAE Handbook—Fundamentals, from memory: table rows come back exactly, and nothing between them turns round.
     */
    public function test_the_freeze_curve_is_monotone_through_its_table(): void
    {
        foreach (Glycol::cases() as $base) {
            $before = 1.0;
            for ($percent = 0; $percent <= 56; $percent++) {
                $freeze = (new Mixture($base, $percent / 100))->freezePoint()->degC();
                self::assertLessThan($before, $freeze);
                $before = $freeze;
            }
            $row = Mixture::freezingAt($base, Temperature::celsius($base->freezeTable()[50]));
            self::assertEqualsWithDelta(0.50, $row->massFraction(), 0.0005);
        }
    }

    public function test_a_refractometer_reading_inverts_the_table(): void
    {
        foreach ([0.1, 0.33, 0.5] as $fraction) {
            $freeze = (new Mixture(Glycol::Propylene, $fraction))->freezePoint();
            self::assertEqualsWithDelta(
                $fraction,
                Mixture::freezingAt(Glycol::Propylene, $freeze)->volumeFraction,
                0.0005,
            );
        }
    }

    /**
     * Water 998.2 and 965.3 kg/m³ at 20 and 90 °C (CRC Handbook, from memory); half and half grows about 4 % from 20
     * to 90 °C.
     */
    public function test_density_over_temperature(): void
    {
        self::assertEqualsWithDelta(998.2, Mixture::water()->density(Temperature::celsius(20)), 0.1);
        self::assertEqualsWithDelta(965.3, Mixture::water()->density(Temperature::celsius(90)), 0.3);
        self::assertEqualsWithDelta(
            1.04,
            (new Mixture(Glycol::Ethylene, 0.5))->volumeGrowth(Temperature::celsius(90)),
            0.005,
        );
    }

    public function test_a_fraction_typed_as_percent_is_refused(): void
    {
        $this->expectException(InvalidField::class);
        new Mixture(Glycol::Ethylene, 50);
    }

    public function test_the_whole_circuit_lands_on_target_or_says_that_it_cannot(): void
    {
        $mix = new Mix(Volume::litres(9), Volume::litres(2.6), 0.0, 0.5);
        self::assertEqualsWithDelta(4500, $mix->stock()->mL(), 0.1);
        self::assertEqualsWithDelta(1900, $mix->water()->mL(), 0.1);
        self::assertTrue($mix->reachable());
        $late = new Mix(Volume::litres(9), Volume::litres(5), 0.0, 0.5);
        self::assertFalse($late->reachable());
        self::assertEqualsWithDelta(0.444, $late->finalFraction(), 0.001);
    }
}
