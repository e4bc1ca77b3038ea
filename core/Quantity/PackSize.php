<?php

declare(strict_types=1);

namespace Aqbel\Core\Quantity;

/** A container's size as it is printed on it: a gallon is a gallon, also where people read litres. */
final class PackSize
{
    /** A label gives a quarter of a gallon or quart, and litres to a twentieth (common practice, no source). */
    private const US_STEP = 0.25;

    private const LITRE_STEP = 0.05;

    /** Of a step: what rounding leaves. */
    private const NEAR = 0.02;

    public static function said(float $ml, UnitSystem $reader): string
    {
        $own = $reader === UnitSystem::UsCustomary ? [Unit::Gallon, Unit::Quart] : [Unit::Litre];
        $others = $reader === UnitSystem::UsCustomary ? [Unit::Litre] : [Unit::Gallon, Unit::Quart];
        foreach ([...$own, ...$others] as $unit) {
            if (self::isPrintedIn($unit, $ml)) {
                $size = "{$unit->typed($ml)} {$unit->value}";

                return in_array($unit, $own, true) ? $size : "{$size} ({$reader->format($ml, Dimension::Volume)})";
            }
        }

        return $reader->format($ml, Dimension::Volume);
    }

    private static function isPrintedIn(Unit $unit, float $ml): bool
    {
        $size = $unit->fromBase($ml);
        $steps = $size / ($unit === Unit::Litre ? self::LITRE_STEP : self::US_STEP);
        $enough = $unit === Unit::Gallon ? $size >= 1.0 - self::NEAR : $steps >= 1.0 - self::NEAR;

        return $enough && abs($steps - round($steps)) <= self::NEAR;
    }
}
