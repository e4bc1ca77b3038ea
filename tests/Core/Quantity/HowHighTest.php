<?php

declare(strict_types=1);

namespace Tests\Core\Quantity;

use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** How high a place lies, as people write it: thousands are grouped, and nobody tells millimetres. */
final class HowHighTest extends TestCase
{
    /** @return array<string, array{string, float}> */
    public static function typed(): array
    {
        return [
            'as the bar writes it' => ['1,420 m', 1420.0],
            'with a point' => ['1.420', 1420.0],
            'bare' => ['1420', 1420.0],
            'with a space' => ['1 420 m', 1420.0],
            'in feet' => ['4,659 ft', 1420.0632],
            'a decimal stays one' => ['12,5 m', 12.5],
            'below the sea' => ['-3', -3.0],
        ];
    }

    #[DataProvider('typed')]
    public function test_thousands_are_no_decimals(string $typed, float $metres): void
    {
        $field = Field::length('elevation', 'Elevation', -400_000.0, 5_000_000.0)->in(Unit::Metre);
        self::assertEqualsWithDelta($metres, $field->read($typed, UnitSystem::Metric)[0] / 1000.0, 0.001);
    }

    public function test_a_height_of_a_part_is_read_as_it_always_was(): void
    {
        self::assertSame(930.0, Field::length('z', 'Height', 0.0, 10_000.0)->read('0,930 m', UnitSystem::Metric)[0]);
    }
}
