<?php

declare(strict_types=1);

namespace Tests\Core\Quantity;

use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Typed;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use PHPUnit\Framework\Attributes\DataProvider;
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
}
