<?php

declare(strict_types=1);

namespace Tests\Core\Quantity;

use Aqbel\Core\Quantity\PackSize;
use Aqbel\Core\Quantity\UnitSystem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Sizes are common practice, no source; the gallon is 3.785411784 L (NIST SP 811, from memory). */
final class PackSizeTest extends TestCase
{
    /** @return iterable<array{float, string, string}> */
    public static function sizes(): iterable
    {
        yield [1000.0, '1 L', '1 L (1.06 qt)'];
        yield [1500.0, '1.5 L', '1.5 L (1.59 qt)'];
        yield [20_000.0, '20 L', '20 L (21.13 qt)'];
        yield [946.352946, '1 qt (0.95 L)', '1 qt'];
        yield [3785.411784, '1 gal (3.79 L)', '1 gal'];
        yield [3785.0, '1 gal (3.79 L)', '1 gal'];
        yield [2.5 * 3785.411784, '2.5 gal (9.46 L)', '2.5 gal'];
        yield [55.0 * 3785.411784, '55 gal (208.20 L)', '55 gal'];
        yield [208_000.0, '208 L', '208 L (219.79 qt)'];
        yield [733.0, '0.73 L', '0.77 qt'];
    }

    #[DataProvider('sizes')]
    public function test_a_size_is_said_as_it_is_printed(float $ml, string $metric, string $us): void
    {
        self::assertSame($metric, PackSize::said($ml, UnitSystem::Metric));
        self::assertSame($us, PackSize::said($ml, UnitSystem::UsCustomary));
    }
}
