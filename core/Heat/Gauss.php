<?php

declare(strict_types=1);

namespace Aqbel\Core\Heat;

/**
 * How much of a normal distribution, of one amount or of two, lies between nothing and the most that each can be,
 * against its height at the likeliest of these amounts. Of one
 * exact to 10⁻⁴, of two to 2 %, without a step where an amount comes to nothing.
 */
final class Gauss
{
    private const ROOT_2_PI = 2.5066282746310002;

    /** Strips across the second of two amounts, and how many standard deviations they cover. */
    private const STRIPS = 12;

    private const COVERS = 4.5;

    /** Beyond a bound it is followed to e⁻⁷ of its height. */
    private const FALLS = 7.0;

    /** From here on the tail is a continued fraction (Laplace 1805), below it a polynomial (Abramowitz and Stegun 26.2.17). */
    private const FAR = 3.0;

    private const POLYNOMIAL = [1.330274429, -1.821255978, 1.781477937, -0.356563782, 0.319381530];

    /**
     * Of one amount x, with the exponent slope·(x − at) − ½·curve·(x − at)².
     *
     * @param  float  $at  the likeliest within the bounds
     */
    public static function share(float $curve, float $slope, float $at, float $most): float
    {
        // What nothing tells of may be anything.
        return $curve > 0.0 ? self::mass($curve, $slope, -$at, $most - $at) / $most : 1.0;
    }

    /**
     * Of two amounts x and y around the likeliest within the bounds.
     *
     * @param  float  $xx  second derivatives, and how fast it still grows along each there
     */
    public static function shareOfTwo(
        float $xx,
        float $xy,
        float $yy,
        float $x,
        float $y,
        float $growsX,
        float $growsY,
        float $most,
    ): float {
        $deviation = sqrt($xx / ($xx * $yy - $xy * $xy));
        $low = max(-$y, -self::COVERS * $deviation);
        // At its bound it falls off by its slope.
        $falls = $growsY < 0.0 ? self::FALLS / -$growsY : INF;
        $width = (min($most - $y, self::COVERS * $deviation, $falls) - $low) / self::STRIPS;
        $sum = 0.0;
        for ($i = 0; $i < self::STRIPS; $i++) {
            $by = $low + ($i + 0.5) * $width;
            $sum += self::mass($xx, $growsX - $xy * $by, -$x, $most - $x, $growsY * $by - 0.5 * $yy * $by * $by);
        }

        return $sum * $width / $most ** 2;
    }

    /** ∫ exp(offset + slope·t − ½·curve·t²) dt. */
    private static function mass(float $curve, float $slope, float $low, float $high, float $offset = 0.0): float
    {
        $scale = sqrt($curve);
        $exponent = fn (float $t): float => exp($offset + $slope * $t - 0.5 * $curve * $t * $t);
        [$from, $to] = [($low - $slope / $curve) * $scale, ($high - $slope / $curve) * $scale];
        // Tails are taken from the end they hang on, so that nothing overflows.
        $tails = match (true) {
            $from >= 0.0 => $exponent($low) * self::mills($from) - $exponent($high) * self::mills($to),
            $to <= 0.0 => $exponent($high) * self::mills(-$to) - $exponent($low) * self::mills(-$from),
            default => $exponent($slope / $curve) * self::ROOT_2_PI
                - $exponent($low) * self::mills(-$from)
                - $exponent($high) * self::mills($to),
        };

        return max(0.0, $tails) / $scale;
    }

    /** The tail of a normal distribution beyond z ≥ 0 over its height there. */
    private static function mills(float $z): float
    {
        if ($z > self::FAR) {
            $fraction = $z;
            for ($n = 12; $n > 0; $n--) {
                $fraction = $z + $n / $fraction;
            }

            return 1.0 / $fraction;
        }
        $t = 1.0 / (1.0 + 0.2316419 * $z);
        $sum = 0.0;
        foreach (self::POLYNOMIAL as $coefficient) {
            $sum = ($sum + $coefficient) * $t;
        }

        return $sum;
    }
}
