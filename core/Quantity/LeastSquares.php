<?php

declare(strict_types=1);

namespace Aqbel\Core\Quantity;

/** The straight line through points (x, y) that lies nearest to them (any statistics text). */
final class LeastSquares
{
    /**
     * Rise of the line, in units of y for each of x; 0 where there are none, or all share one x.
     *
     * @param  list<array{float, float}>  $points
     */
    public static function slope(array $points): float
    {
        $n = max(1, count($points));
        $meanX = array_sum(array_column($points, 0)) / $n;
        $meanY = array_sum(array_column($points, 1)) / $n;
        [$sxy, $sxx] = [0.0, 0.0];
        foreach ($points as [$x, $y]) {
            $sxy += ($x - $meanX) * ($y - $meanY);
            $sxx += ($x - $meanX) ** 2;
        }

        return $sxx > 0.0 ? $sxy / $sxx : 0.0;
    }
}
