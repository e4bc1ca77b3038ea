<?php

declare(strict_types=1);

namespace Aqbel\Core\Matter;

/** A standing column of coolant: height against pressure, by ρ·g·h. */
final class Column
{
    /** kg/m³, of the usual mixture when cold. */
    private const DENSITY = 1070.0;

    /** m/s², standard gravity (ISO 80000-3). */
    private const GRAVITY = 9.80665;

    public static function kPa(float $mm): float
    {
        return self::DENSITY * self::GRAVITY * $mm / 1.0e6;
    }

    public static function mm(float $kPa): float
    {
        return $kPa * 1.0e6 / (self::DENSITY * self::GRAVITY);
    }
}
