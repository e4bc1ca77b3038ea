<?php

declare(strict_types=1);

namespace Aqbel\Core\Quantity;

/**
 * The units a shop meets, with exact factors to the unit the core computes in
 * (kPa, mL, °C, mm, N·m, s, share of one). Factors: NIST SP 811, from memory.
 */
enum Unit: string
{
    case Kilopascal = 'kPa';
    case InchOfMercury = 'inHg';
    case Psi = 'psi';
    case Bar = 'bar';
    case Millibar = 'mbar';
    case MillimetreOfMercury = 'mmHg';
    case Megapascal = 'MPa';
    case CentimetreOfMercury = 'cmHg';
    case Atmosphere = 'atm';
    /** As it stands on many a cap. */
    case KilogramPerSquareCentimetre = 'kg/cm²';
    case Millilitre = 'mL';
    case Centilitre = 'cL';
    case Decilitre = 'dL';
    case Litre = 'L';
    case Quart = 'qt';
    case Gallon = 'gal';
    case FluidOunce = 'fl oz';
    case Pint = 'pt';
    case Cup = 'cup';
    /** Of coolant, half of it glycol. */
    case Kilogram = 'kg';
    case Pound = 'lb';
    case Celsius = '°C';
    case Fahrenheit = '°F';
    case Millimetre = 'mm';
    case Centimetre = 'cm';
    case Metre = 'm';
    case Kilometre = 'km';
    case Mile = 'mi';
    case Inch = 'in';
    case Foot = 'ft';
    case NewtonMetre = 'N·m';
    case FootPound = 'ft·lb';
    case InchPound = 'in·lb';
    case KilogramForceMetre = 'kgf·m';
    case Second = 's';
    case Minute = 'min';
    case Hour = 'h';
    case Day = 'd';
    case Share = '';
    case Percent = '%';

    /** Half glycol weighs 1.065 kg a litre at 20 °C (any handbook table, from memory). */
    private const ML_PER_KG = 1000.0 / 1.065;

    /** By the short form that UnitName makes of what people write. */
    private const KNOWN = [
        'kpa' => self::Kilopascal,
        'mpa' => self::Megapascal,
        'bar' => self::Bar,
        'mbar' => self::Millibar,
        'hpa' => self::Millibar,
        'inhg' => self::InchOfMercury,
        'psi' => self::Psi,
        'mmhg' => self::MillimetreOfMercury,
        'torr' => self::MillimetreOfMercury,
        'cmhg' => self::CentimetreOfMercury,
        'atm' => self::Atmosphere,
        'kgpercm' => self::KilogramPerSquareCentimetre,
        'ml' => self::Millilitre,
        'cl' => self::Centilitre,
        'dl' => self::Decilitre,
        'l' => self::Litre,
        'qt' => self::Quart,
        'gal' => self::Gallon,
        'oz' => self::FluidOunce,
        'pt' => self::Pint,
        'cup' => self::Cup,
        'kg' => self::Kilogram,
        '°c' => self::Celsius,
        'c' => self::Celsius,
        '°f' => self::Fahrenheit,
        'f' => self::Fahrenheit,
        'mm' => self::Millimetre,
        'cm' => self::Centimetre,
        'm' => self::Metre,
        'km' => self::Kilometre,
        'mi' => self::Mile,
        'in' => self::Inch,
        'ft' => self::Foot,
        'nm' => self::NewtonMetre,
        'ftlb' => self::FootPound,
        'lbft' => self::FootPound,
        'inlb' => self::InchPound,
        'lbin' => self::InchPound,
        'kgm' => self::KilogramForceMetre,
        'mkg' => self::KilogramForceMetre,
        's' => self::Second,
        'min' => self::Minute,
        'h' => self::Hour,
        'day' => self::Day,
        '%' => self::Percent,
    ];

    /**
     * The unit a person means by what was typed, e.g. "fl. oz" or "litres"; null when no unit is known by that name.
     */
    public static function named(string $text): ?self
    {
        return self::KNOWN[UnitName::short($text)] ?? null;
    }

    /**
     * What is meant where one kind of thing is asked for: inches of a vacuum are of mercury, pounds of a cap per
     * square inch, a m of time is a minute.
     */
    public static function meant(string $text, self $assumed): ?self
    {
        $short = UnitName::short($text);
        // Minutes and seconds have the marks of feet and inches.
        $short = $assumed->dimension() === Dimension::Time
            ? ["'" => 'min', '′' => 'min', '´' => 'min', '"' => 's'][trim($text)] ?? $short
            : $short;

        return match ([$assumed->dimension(), $short]) {
            [Dimension::Pressure, 'in'], [Dimension::Pressure, 'hg'] => self::InchOfMercury,
            [Dimension::Pressure, 'lb'] => self::Psi,
            [Dimension::Volume, 'lb'] => self::Pound,
            [Dimension::Temperature, '°'] => $assumed,
            [Dimension::Time, 'm'] => self::Minute,
            [Dimension::Time, 'd'] => self::Day,
            default => self::KNOWN[$short] ?? null,
        };
    }

    public function dimension(): Dimension
    {
        return match ($this) {
            self::Kilopascal,
            self::Megapascal,
            self::InchOfMercury,
            self::Psi,
            self::Bar,
            self::Millibar,
            self::MillimetreOfMercury,
            self::CentimetreOfMercury,
            self::Atmosphere,
            self::KilogramPerSquareCentimetre => Dimension::Pressure,
            self::Millilitre,
            self::Centilitre,
            self::Decilitre,
            self::Litre,
            self::Quart,
            self::Gallon,
            self::FluidOunce,
            self::Pint,
            self::Cup,
            self::Kilogram,
            self::Pound => Dimension::Volume,
            self::Celsius, self::Fahrenheit => Dimension::Temperature,
            self::Millimetre,
            self::Centimetre,
            self::Metre,
            self::Kilometre,
            self::Mile,
            self::Inch,
            self::Foot => Dimension::Length,
            self::NewtonMetre, self::FootPound, self::InchPound, self::KilogramForceMetre => Dimension::Torque,
            self::Second, self::Minute, self::Hour, self::Day => Dimension::Time,
            self::Share, self::Percent => Dimension::Fraction,
        };
    }

    /** A number of this unit, in the core's unit of the same dimension. */
    public function toBase(float $number): float
    {
        return $this === self::Fahrenheit ? ($number - 32.0) / 1.8 : $number * $this->factor();
    }

    /** A number in the core's unit, expressed in this one. */
    public function fromBase(float $base): float
    {
        return $this === self::Fahrenheit ? $base * 1.8 + 32.0 : $base / $this->factor();
    }

    /**
     * A number in the core's unit as one would type it in this one: to a thousandth, a way on the road and the height of
     * a place to a tenth, no noughts at the end, no unit.
     */
    public function typed(float $base): string
    {
        $digits = in_array($this, [self::Kilometre, self::Mile, self::Metre, self::Foot], true) ? 1 : 3;

        return rtrim(rtrim(number_format($this->fromBase($base), $digits, '.', ''), '0'), '.');
    }

    /** Digits after the point that a shop reads in this unit. */
    public function decimals(): int
    {
        return match ($this) {
            self::Megapascal => 3,
            self::Bar,
            self::Litre,
            self::Decilitre,
            self::Quart,
            self::Gallon,
            self::Pint,
            self::Kilogram,
            self::Pound,
            self::Share,
            self::Hour,
            self::KilogramPerSquareCentimetre,
            self::Atmosphere,
            self::KilogramForceMetre,
            self::Metre => 2,
            self::InchOfMercury,
            self::Psi,
            self::FluidOunce,
            self::NewtonMetre,
            self::FootPound,
            self::InchPound,
            self::Inch,
            self::Foot,
            self::Kilopascal => 1,
            default => 0,
        };
    }

    /** What a person might type in this unit, for a message. */
    public function example(): string
    {
        return match ($this) {
            self::InchOfMercury => '21 inHg',
            self::Litre => '1.5 L',
            self::Celsius => '82 °C',
            self::Fahrenheit => '180 °F',
            self::Millilitre => '750 mL',
            self::Quart => '3 qt',
            self::Percent => '50 %',
            self::Share => '0.5',
            default => "10 {$this->value}",
        };
    }

    private function factor(): float
    {
        return match ($this) {
            self::InchOfMercury => 3.386389,
            self::Psi => 6.894757,
            self::Bar => 100.0,
            self::Millibar => 0.1,
            self::MillimetreOfMercury => 0.133322387415,
            self::CentimetreOfMercury => 1.33322387415,
            self::Atmosphere => 101.325,
            self::KilogramPerSquareCentimetre => 98.0665,
            self::Litre, self::Metre, self::Megapascal => 1000.0,
            self::Decilitre => 100.0,
            self::Quart => 946.352946,
            self::Gallon => 3785.411784,
            self::FluidOunce => 29.5735295625,
            self::Pint => 473.176473,
            self::Cup => 236.5882365,
            self::Kilogram => self::ML_PER_KG,
            self::Pound => self::ML_PER_KG * 0.45359237,
            self::Centimetre, self::Centilitre => 10.0,
            self::Kilometre => 1.0e6,
            self::Mile => 1_609_344.0,
            self::Inch => 25.4,
            self::Foot => 304.8,
            self::FootPound => 1.3558179483314,
            self::InchPound => 0.1129848290276,
            self::KilogramForceMetre => 9.80665,
            self::Minute => 60.0,
            self::Hour => 3600.0,
            self::Day => 86400.0,
            self::Percent => 0.01,
            default => 1.0,
        };
    }
}
