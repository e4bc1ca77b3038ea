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

    /** What less than one of its volumes is said in. */
    public function small(): Unit
    {
        return $this === self::UsCustomary ? Unit::FluidOunce : Unit::Millilitre;
    }

    /** What a way on the road is said in. */
    public function road(): Unit
    {
        return $this === self::UsCustomary ? Unit::Mile : Unit::Kilometre;
    }

    /** What the height of a place above the sea is said in. */
    public function height(): Unit
    {
        return $this === self::UsCustomary ? Unit::Foot : Unit::Metre;
    }

    /** How high a place lies, in words: nobody tells it to less than one. */
    public function sayHeight(float $mm): string
    {
        return number_format($this->height()->fromBase($mm))." {$this->height()->value}";
    }

    /** The one in which so much from mark to mark is a round number, as a vessel of it is marked. */
    public static function ofMarks(float $ml): self
    {
        $inFives = $ml / 5.0;
        $inHalfOunces = 2.0 * Unit::FluidOunce->fromBase($ml);

        return abs($inHalfOunces - round($inHalfOunces)) < abs($inFives - round($inFives))
            ? self::UsCustomary
            : self::Metric;
    }

    /** A number in the core's unit as this person reads it, e.g. "7.59 L"; without the unit when asked. */
    public function format(float $base, Dimension|Unit $in, bool $withUnit = true): string
    {
        $unit = $in instanceof Unit ? $in : $this->unit($in);
        // A minute and a half is not two.
        $isShort = $unit === Unit::Minute && abs($base) < 600.0 && abs(fmod($base, 60.0)) > 0.0;
        // A leak or a syringe tells less than a tenth of an ounce.
        $isFine = $unit === Unit::FluidOunce && abs($unit->fromBase($base)) < 1.0;
        $text = number_format($unit->fromBase($base), $isShort ? 1 : $unit->decimals() + ($isFine ? 1 : 0), '.', '');
        // What stands on a cap, or a gauge shows, has no tenths of a kilopascal unless it says so.
        $text = $unit === Unit::Kilopascal ? (string) preg_replace('/\.0$/', '', $text) : $text;
        $text = str_replace('-', '−', preg_match('/^-0(\.0+)?$/', $text) ? ltrim($text, '-') : $text);

        return $withUnit ? trim("{$text} {$unit->value}") : $text;
    }
}
