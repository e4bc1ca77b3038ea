<?php

declare(strict_types=1);

namespace Tests\Core\Heat;

use Aqbel\Core\Heat\Gauss;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Shares of normal distributions between bounds, against sums over many narrow strips. */
final class GaussTest extends TestCase
{
    #[TestWith([1.0, 0.0, 5.0, 10.0])]
    #[TestWith([1.0, 0.0, 0.0, 10.0])]
    #[TestWith([4.0, -3.0, 0.0, 10.0])]
    #[TestWith([0.01, -40.0, 0.0, 10.0])]
    #[TestWith([0.25, 6.0, 10.0, 10.0])]
    #[TestWith([0.02, 0.0, 1.0, 10.0])]
    public function test_of_one_amount(float $curve, float $slope, float $at, float $most): void
    {
        $by = fn (float $x): float => exp($slope * ($x - $at) - 0.5 * $curve * ($x - $at) ** 2);
        $sum = self::strips($by, $most) / $most;
        self::assertEqualsWithDelta($sum, Gauss::share($curve, $slope, $at, $most), 1.0e-4 * $sum);
    }

    #[TestWith([1.0, 0.5, 2.0, 4.0, 5.0, 0.0, 0.0])]
    #[TestWith([1.0, 0.9, 1.0, 3.0, 3.0, 0.0, 0.0])]
    #[TestWith([1.0, 0.9, 1.0, 0.0, 3.0, -0.5, 0.0])]
    #[TestWith([1.0, 0.9, 1.0, 3.0, 0.0, 0.0, -2.0])]
    #[TestWith([3.0, 1.0, 0.5, 0.2, 0.3, 0.0, 0.0])]
    public function test_of_two_amounts(
        float $xx,
        float $xy,
        float $yy,
        float $x,
        float $y,
        float $growsX,
        float $growsY,
    ): void {
        $most = 12.0;
        $by = fn (float $a, float $b): float => exp(
            $growsX * ($a - $x)
                + $growsY * ($b - $y)
                - 0.5 * ($xx * ($a - $x) ** 2 + 2.0 * $xy * ($a - $x) * ($b - $y) + $yy * ($b - $y) ** 2),
        );
        $along = fn (float $b): float => self::strips(fn (float $a): float => $by($a, $b), $most, 400);
        $sum = self::strips($along, $most, 400) / $most ** 2;
        self::assertEqualsWithDelta(
            $sum,
            Gauss::shareOfTwo($xx, $xy, $yy, $x, $y, $growsX, $growsY, $most),
            0.02 * $sum,
        );
    }

    /** @param  callable(float): float  $by */
    private static function strips(callable $by, float $most, int $count = 20000): float
    {
        $width = $most / $count;

        return $width * array_sum(array_map(fn (int $i): float => $by(($i + 0.5) * $width), range(0, $count - 1)));
    }
}
