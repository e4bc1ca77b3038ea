<?php

declare(strict_types=1);

namespace Aqbel\Core\Vacuum;

/**
 * Air through a hole into a vacuum: while the inside is below the critical ratio it comes at one rate, above it ever
 * more slowly, by a quarter of an ellipse (ISO 6358, critical ratio of air 0.528).
 */
final class Inflow
{
    private const CRITICAL = 0.528;

    /**
     * How far the same hole would have raised the pressure had its air come at the choked rate all along, kPa.
     *
     * @param  float  $fromKpa  absolute, inside
     * @param  float  $toKpa  absolute, inside, higher
     * @param  float  $outsideKpa  absolute
     */
    public static function chokedRise(float $fromKpa, float $toKpa, float $outsideKpa): float
    {
        return self::until($toKpa / $outsideKpa, $outsideKpa) - self::until($fromKpa / $outsideKpa, $outsideKpa);
    }

    /** The integral of dp over the share of the choked flow that comes in at p, from an empty circuit, kPa. */
    private static function until(float $ratio, float $outsideKpa): float
    {
        $past = max(0.0, min(1.0, ($ratio - self::CRITICAL) / (1.0 - self::CRITICAL)));

        return $outsideKpa * (min($ratio, self::CRITICAL) + (1.0 - self::CRITICAL) * asin($past));
    }
}
