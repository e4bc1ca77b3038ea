<?php

declare(strict_types=1);

namespace Aqbel\Core\Quantity;

/** The units a person reads and types by default. Any other unit may be typed out. */
enum UnitSystem: string
{
    case Metric = 'metric';
    case UsCustomary = 'us';

    public function unit(Dimension $dimension): Unit
    {
        $us = $this === self::UsCustomary;

        return match ($dimension) {
            Dimension::Pressure => $us ? Unit::Psi : Unit::Kilopascal,
            Dimension::Volume => $us ? Unit::Quart : Unit::Litre,
            Dimension::Temperature => $us ? Unit::Fahrenheit : Unit::Celsius,
            Dimension::Length => $us ? Unit::Inch : Unit::Millimetre,
            Dimension::Torque => $us ? Unit::FootPound : Unit::NewtonMetre,
            Dimension::Time => Unit::Minute,
            Dimension::Fraction => Unit::Percent,
        };
    }

    /** A number in the core's unit as this person reads it, e.g. "7.59 L"; without the unit when asked. */
    public function format(float $base, Dimension|Unit $in, bool $withUnit = true): string
    {
        $unit = $in instanceof Unit ? $in : $this->unit($in);
        // A minute and a half is not two.
        $isShort = $unit === Unit::Minute && abs($base) < 600.0 && abs(fmod($base, 60.0)) > 0.0;
        $text = number_format($unit->fromBase($base), $isShort ? 1 : $unit->decimals(), '.', '');
        // What stands on a cap, or a gauge shows, has no tenths of a kilopascal unless it says so.
        $text = $unit === Unit::Kilopascal ? (string) preg_replace('/\.0$/', '', $text) : $text;
        $text = str_replace('-', '−', preg_match('/^-0(\.0+)?$/', $text) ? ltrim($text, '-') : $text);

        return $withUnit ? trim("{$text} {$unit->value}") : $text;
    }
}
