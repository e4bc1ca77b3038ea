<?php

declare(strict_types=1);

namespace Tests\Core\Quantity;

use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Rough;
use Aqbel\Core\Quantity\Typed;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class QuantityTest extends TestCase
{
    public function test_every_unit_survives_the_round_trip(): void
    {
        foreach (Dimension::cases() as $dimension) {
            foreach ($dimension->units() as $unit) {
                self::assertSame($dimension, $unit->dimension());
                self::assertEqualsWithDelta(17.25, $unit->fromBase($unit->toBase(17.25)), 1e-9);
            }
        }
    }

    /** Exact factors: NIST SP 811, from memory; 15 ft·lb = 20.3 N·m is common practice, no source. */
    public function test_known_conversions(): void
    {
        self::assertEqualsWithDelta(101.325, Unit::InchOfMercury->toBase(29.9213), 0.001);
        self::assertEqualsWithDelta(103.42, Unit::Psi->toBase(15), 0.01);
        self::assertEqualsWithDelta(20.3, Unit::FootPound->toBase(15), 0.05);
        self::assertEqualsWithDelta(82.2, Unit::Fahrenheit->toBase(180), 0.05);
        self::assertEqualsWithDelta(3785.41, Unit::Quart->toBase(4), 0.01);
    }

    /** @return array<string, array{string, Unit, float}> */
    public static function typed(): array
    {
        return [
            'bare number' => ['21', Unit::InchOfMercury, 71.114], 'own unit' => [
                '0.7 bar', Unit::InchOfMercury, 70.0,
            ], 'decimal comma' => ['1,5 l', Unit::Millilitre, 1500.0],
            'quarts' => ['3 qt', Unit::Litre, 2839.06], 'glued' => [
                '21inHg', Unit::Kilopascal, 71.114,
            ], 'fahrenheit' => ['180°F', Unit::Celsius, 82.222], 'minus' => ['−36', Unit::Celsius, -36.0],
            'fluid ounces' => ['128 fl. oz', Unit::Litre, 3785.41], 'leading point' => ['.5 l', Unit::Litre, 500.0],
        ];
    }

    #[DataProvider('typed')]
    public function test_what_people_type_is_understood(string $text, Unit $assumed, float $base): void
    {
        $typed = Typed::parse($text, $assumed);
        self::assertEqualsWithDelta($base, $typed->base, 0.01);
        self::assertStringStartsWith(trim($text), $typed->text);
    }

    #[DataProvider('nonsense')]
    public function test_what_cannot_be_meant_is_refused_with_a_remedy(string $text, string $remedy): void
    {
        $this->expectException(\InvalidArgumentException::class);
        $this->expectExceptionMessage($remedy);
        Typed::parse($text, Unit::Litre);
    }

    /** @return array<string, array{string, string}> */
    public static function nonsense(): array
    {
        return [
            'letters' => ['plenty', 'Enter a number'],
            'empty' => ['', 'Enter a number'],
            'other dimension' => ['3 bar', 'measures pressure'],
            'unknown unit' => ['3 firkin', 'not known here'],
            'two numbers' => ['1e400', 'not known'],
        ];
    }

    public function test_a_unit_of_another_dimension_is_a_programming_error(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        Pressure::of(1.0, Unit::Litre);
    }

    public function test_people_read_their_own_units(): void
    {
        self::assertSame('7.59 L', UnitSystem::Metric->format(7593.8, Dimension::Volume));
        self::assertSame('8.02 qt', UnitSystem::UsCustomary->format(7593.8, Dimension::Volume));
        self::assertSame('−36 °C', UnitSystem::Metric->format(-36.2, Dimension::Temperature));
        self::assertSame('0 °C', UnitSystem::Metric->format(-0.2, Dimension::Temperature));
    }

    /**
     * @return array<string, array{string, Unit, float}> as typed; where that is
     * asked for; in the core’s unit (NIST SP 811, from memory)
     */
    public static function asPeopleWrite(): array
    {
        $cases = [
            ['2 US gal', Unit::Litre, 7570.823568],
            ['5 dl', Unit::Litre, 500.0],
            ['50 cl', Unit::Litre, 500.0],
            ['500 ccm', Unit::Litre, 500.0],
            ['2 ltr', Unit::Litre, 2000.0],
            ['16 ounces', Unit::Litre, 473.176473],
            ['88 celsius', Unit::Fahrenheit, 88.0],
            ['190 Fahrenheit', Unit::Celsius, 87.7777778],
            ['88 ℃', Unit::Fahrenheit, 88.0],
            ['21 Hg', Unit::InchOfMercury, 71.114169],
            ['15 psig', Unit::Kilopascal, 103.421355],
            ['0.11 MPa', Unit::Kilopascal, 110.0],
            ['180 in-lb', Unit::NewtonMetre, 20.3372692],
            ['20 N-m', Unit::FootPound, 20.0],
            ['6 inches', Unit::Millimetre, 152.4],
            ['1 hour', Unit::Minute, 3600.0],
            ['5:00', Unit::Minute, 300.0],
            ['5:00', Unit::Hour, 18_000.0],
            ['1:30:00', Unit::Minute, 5400.0],
            ['50 percent', Unit::Share, 0.5],
            ['20+20+17', Unit::Litre, 57_000.0],
            ['20 + 20 + 17 l', Unit::Quart, 57_000.0],
            ['1 L + 500 mL', Unit::Quart, 1500.0],
            ['18 ft-lbs', Unit::NewtonMetre, 24.4047231],
            ['+3', Unit::Litre, 3000.0],
            ["1'500 ml", Unit::Litre, 1500.0],
            ["20'", Unit::Hour, 1200.0],
            ['90"', Unit::Minute, 90.0],
            ['22 in of mercury', Unit::Kilopascal, 74.500558],
            ["1' 2\"", Unit::Millimetre, 355.6],
            ['0.5 %', Unit::Percent, 0.005],
        ];

        return array_combine(array_map(fn (array $case) => "{$case[0]} for {$case[1]->value}", $cases), $cases);
    }

    #[DataProvider('asPeopleWrite')]
    public function test_units_are_taken_as_people_write_them(string $typed, Unit $asked, float $base): void
    {
        $parsed = Typed::parse($typed, $asked);
        self::assertEqualsWithDelta($base, $parsed->base, 1.0e-5 * max(1.0, $base));
        self::assertStringStartsWith($typed, $parsed->text);
    }

    #[TestWith(['1 + 500 mL + 2 L', Unit::Litre])]
    #[TestWith(['20+20', Unit::Celsius])]
    #[TestWith(['50+50', Unit::Percent])]
    #[TestWith(['0.5', Unit::Percent])]
    #[TestWith(['0,4', Unit::Percent])]
    #[TestWith(['5:75', Unit::Minute])]
    #[TestWith(['3++4', Unit::Litre])]
    public function test_a_sum_that_is_none_is_refused(string $typed, Unit $asked): void
    {
        $this->expectException(\InvalidArgumentException::class);
        Typed::parse($typed, $asked);
    }

    /** @return iterable<string, array{string, float, ?float}> as typed, mL, ± */
    public static function rough(): iterable
    {
        // A quarter for “about”, half the way between two, six and a half in a hundred for a weight of anything from
        // water to concentrate (common practice, no source).
        yield 'about' => ['about 2 L', 2000.0, 500.0];
        yield 'a wavy line' => ['~2 L', 2000.0, 500.0];
        yield 'or so' => ['1.5 L or so', 1500.0, 375.0];
        yield 'between' => ['2 to 3 L', 2500.0, 500.0];
        yield 'a dash' => ['0.5-1 l', 750.0, 250.0];
        yield 'two units' => ['500 mL to 1 L', 750.0, 250.0];
        yield 'half' => ['half a litre', 500.0, null];
        yield 'about half' => ['about half a litre', 500.0, 125.0];
        yield 'one and a half' => ['one and a half litres', 1500.0, null];
        yield 'a quarter' => ['a quarter of a litre', 250.0, null];
        // 1.065 kg a litre for half glycol at 20 °C (any handbook table, from memory).
        yield 'on a scale' => ['2.13 kg', 2000.0, 130.0];
        yield 'pounds' => ['4.7 lb', 2001.77, 130.11];
        yield 'pints' => ['3 pints', 1419.53, null];
        yield 'cans' => ['2 cans of 5 L', 10000.0, null];
        yield 'half a can' => ['about half a can of 5 L', 2500.0, 625.0];
        yield 'times' => ['3 x 2.5 L', 7500.0, null];
        yield 'times, by weight' => ['2 × 1.065 kg', 2000.0, 130.0];
        yield 'cans and a jug' => ['2 x 5 L + 3', 13000.0, null];
        yield 'read' => ['2.4 L', 2400.0, null];
    }

    #[DataProvider('rough')]
    public function test_a_rough_answer_is_an_answer_at_its_worth(string $typed, float $ml, ?float $plusMinus): void
    {
        $read = Typed::parse($typed, Unit::Litre);
        self::assertEqualsWithDelta($ml, $read->base, 0.01);
        self::assertSame($typed, $read->text, 'it is kept as it was said');
        $plusMinus === null
            ? self::assertNull(Rough::plusMinusMl($read->text, $read->base))
            : self::assertEqualsWithDelta($plusMinus, Rough::plusMinusMl($read->text, $read->base), 0.01);
    }

    public function test_of_a_can_it_is_asked_what_it_holds(): void
    {
        foreach (
            [
                'a can' => 'Say what it holds',
                'two cans' => 'Say what it holds',
                'about a pan' => 'Say what it holds',
                '2 x 5-6 L' => 'Enter',
            ] as $typed => $remedy
        ) {
            try {
                self::fail("{$typed} was taken for ".Typed::parse($typed, Unit::Litre)->base);
            } catch (\InvalidArgumentException $refused) {
                self::assertStringContainsString($remedy, $refused->getMessage());
            }
        }
        self::assertSame(13000.0, Typed::parse('2 x 5 + 3', Unit::Litre)->base);
        self::assertSame('3 x 2 L', Typed::parse('3 x 2', Unit::Litre)->text, 'with the unit it was meant in');
    }

    public function test_what_something_rests_on_is_not_told_roughly(): void
    {
        foreach (
            [
                'about 2 h' => Unit::Hour,
                '1-3 h' => Unit::Hour,
                'about 90' => Unit::Celsius,
                '18 to 21' => Unit::InchOfMercury,
            ] as $typed => $unit
        ) {
            try {
                Typed::parse($typed, $unit);
                self::fail("{$typed} was taken");
            } catch (\InvalidArgumentException $refused) {
                self::assertNotSame('', $refused->getMessage());
            }
        }
    }

    public function test_what_else_people_write(): void
    {
        self::assertSame(5400.0, Typed::parse('1h30', Unit::Minute)->base);
        self::assertSame(5400.0, Typed::parse('1 h 30', Unit::Minute)->base);
        self::assertEqualsWithDelta(70.0, Typed::parse('70 kPa vacuum', Unit::InchOfMercury)->base, 1.0e-9);
        self::assertEqualsWithDelta(
            Typed::parse('20', Unit::InchOfMercury)->base,
            Typed::parse('20 inHg vac.', Unit::InchOfMercury)->base,
            1.0e-9,
        );
        self::assertSame(
            ['1.5 min', '2 min', '45 min', '12 min'],
            array_map(fn (float $s): string => UnitSystem::Metric->format($s, Dimension::Time), [
                90.0,
                120.0,
                2700.0,
                730.0,
            ]),
        );
        // A fraction and a ratio are written alike.
        self::assertSame(
            [0.5, 0.4, 0.6],
            array_map(fn (string $typed): float => Typed::parse($typed, Unit::Percent)->base, ['1/1', '40/60', '3:2']),
        );
        foreach (['1/2', '1/3', '2/3'] as $either) {
            try {
                Typed::parse($either, Unit::Percent);
                self::fail("{$either} is either of two");
            } catch (\InvalidArgumentException $asks) {
                self::assertStringContainsString('parts?', $asks->getMessage());
            }
        }
    }

    /** @return iterable<string, array{Unit, float, list<string>}> common practice, no source */
    public static function spellings(): iterable
    {
        yield 'a quarter of a litre' => [Unit::Litre, 250.0, [
            '250 cm3', '250cm³', '250 millilitre', '250 CC', '25 centiliters', '0.25 LITRES', '1/4 l', '.25 l',
        ]];
        yield 'three quarts and a half' => [Unit::Litre, 3.5 * 946.352946, ['3-1/2 qt', '3 1/2 US quarts', '3½qts']];
        yield 'a gallon and two quarts' => [Unit::Litre, 6.0 * 946.352946, ['1 gal, 2 qt', '1 gallon and 2 quarts']];
        yield 'hot' => [Unit::Celsius, 88.0, ['88 ºC', '88˚C', '88 degrees C', '88 deg. C', '88 Centigrade', '190.4 degrees F']];
        yield 'frost' => [Unit::Celsius, -37.0, ['–37', 'minus 37', '− 37 °C', '-34.6 Fahrenheit']];
        yield 'a needle' => [Unit::InchOfMercury, 21.0 * 3.386389, ["21''", '21 in.Hg', '21 inches of mercury', '53.34 cm Hg', '533.4 Torr']];
        yield 'a cap' => [Unit::Bar, 98.0665, ['1 kg/cm2', '1.0 kgf/cm²', '0.980665 bar(g)', '0.980665 barg', '14.223343 lb/in2']];
        yield 'a pounds cap' => [Unit::Psi, 15.0 * 6.894757, ['15 lbf/in²', '15 psi(g)', '15 lb. / sq in', '15#']];
        yield 'a bolt' => [Unit::NewtonMetre, 25.0, ['25 N*m', '25 N•m', '25 newton-meters', '18.43903 lbf ft', '18.43903 foot-pounds', '18.43903 pound feet']];
        yield 'a small bolt' => [Unit::NewtonMetre, 9.80665, ['1 kgf·m', '1 kgm', '1 m·kg', '86.7962 lbf·in', '86.7962 inch pounds']];
        yield 'a hose' => [Unit::Millimetre, 723.9, ['28-1/2"', '28 1/2 in', '72.39 centimetres', '723.9 millimeters', "2' 4 1/2\""]];
        yield 'an hour and a half' => [Unit::Minute, 5400.0, ['1h30m', '1 hr 30', '1:30 h', '1 hour and 30 minutes', '1½ hours', '90 m']];
        yield 'half an hour' => [Unit::Minute, 1800.0, ['half an hour', '1/2 h', "30'"]];
        yield 'two days' => [Unit::Hour, 172800.0, ['2 days', '2 d', '48 hrs']];
        yield 'half' => [Unit::Percent, 0.5, ['50-50', '1 to 1', 'half and half', '50 vol.-%', '50 % by volume', '50 % glycol']];
    }

    /** @param  list<string>  $spellings */
    #[DataProvider('spellings')]
    public function test_a_unit_is_known_however_it_is_written(Unit $asked, float $base, array $spellings): void
    {
        foreach ($spellings as $typed) {
            self::assertEqualsWithDelta($base, Typed::parse($typed, $asked)->base, 1.0e-4 * abs($base), $typed);
        }
    }

    public function test_a_unit_is_named_alone_as_beside_its_number(): void
    {
        self::assertSame(Unit::KilogramPerSquareCentimetre, Unit::named('kgf/cm²'));
        self::assertSame(Unit::Psi, Unit::named('lbf / sq. in'));
        self::assertSame(Unit::Millilitre, Unit::named('cm^3'));
        self::assertNull(Unit::named('barrels'));
    }

    #[TestWith(['40 to 60', Unit::Percent])]
    #[TestWith(['40-60', Unit::Percent])]
    #[TestWith(['2 m', Unit::Litre])]
    #[TestWith(['5 ft', Unit::Minute])]
    #[TestWith(['3-4 l 5', Unit::Litre])]
    #[TestWith(['20-21 °C', Unit::Celsius])]
    #[TestWith(['12 x', Unit::Litre])]
    public function test_what_may_be_two_things_or_none_is_not_read(string $typed, Unit $asked): void
    {
        $this->expectException(\InvalidArgumentException::class);
        Typed::parse($typed, $asked);
    }
}
