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
    case Second = 's';
    case Minute = 'min';
    case Hour = 'h';
    case Share = '';
    case Percent = '%';

    /** Half glycol weighs 1.065 kg a litre at 20 °C (any handbook table, from memory). */
    private const ML_PER_KG = 1000.0 / 1.065;

    /** As people write them: in small letters, without spaces. */
    private const ALIASES = [
        'kpa' => self::Kilopascal,
        'mpa' => self::Megapascal,
        'bar' => self::Bar,
        'bars' => self::Bar,
        'mbar' => self::Millibar,
        'hpa' => self::Millibar,
        'inhg' => self::InchOfMercury,
        '"hg' => self::InchOfMercury,
        'in.hg' => self::InchOfMercury,
        'incheshg' => self::InchOfMercury,
        'psi' => self::Psi,
        'psig' => self::Psi,
        'mmhg' => self::MillimetreOfMercury,
        'torr' => self::MillimetreOfMercury,
        'ml' => self::Millilitre,
        'cc' => self::Millilitre,
        'ccm' => self::Millilitre,
        'cm³' => self::Millilitre,
        'cm3' => self::Millilitre,
        'millilitres' => self::Millilitre,
        'milliliters' => self::Millilitre,
        'cl' => self::Centilitre,
        'dl' => self::Decilitre,
        'l' => self::Litre,
        'lt' => self::Litre,
        'ltr' => self::Litre,
        'ltrs' => self::Litre,
        'litre' => self::Litre,
        'litres' => self::Litre,
        'liter' => self::Litre,
        'liters' => self::Litre,
        'qt' => self::Quart,
        'qts' => self::Quart,
        'quart' => self::Quart,
        'quarts' => self::Quart,
        'usqt' => self::Quart,
        'usquart' => self::Quart,
        'usquarts' => self::Quart,
        'gal' => self::Gallon,
        'gals' => self::Gallon,
        'gallon' => self::Gallon,
        'gallons' => self::Gallon,
        'usgal' => self::Gallon,
        'usgallon' => self::Gallon,
        'usgallons' => self::Gallon,
        'floz' => self::FluidOunce,
        'oz' => self::FluidOunce,
        'ounce' => self::FluidOunce,
        'ounces' => self::FluidOunce,
        'fluidounce' => self::FluidOunce,
        'fluidounces' => self::FluidOunce,
        'pt' => self::Pint,
        'pts' => self::Pint,
        'pint' => self::Pint,
        'pints' => self::Pint,
        'cup' => self::Cup,
        'cups' => self::Cup,
        'kg' => self::Kilogram,
        'kgs' => self::Kilogram,
        'kilo' => self::Kilogram,
        'kilos' => self::Kilogram,
        '°c' => self::Celsius,
        'c' => self::Celsius,
        'degc' => self::Celsius,
        'celsius' => self::Celsius,
        'degreescelsius' => self::Celsius,
        '℃' => self::Celsius,
        '°f' => self::Fahrenheit,
        'f' => self::Fahrenheit,
        'degf' => self::Fahrenheit,
        'fahrenheit' => self::Fahrenheit,
        'degreesfahrenheit' => self::Fahrenheit,
        '℉' => self::Fahrenheit,
        'mm' => self::Millimetre,
        'cm' => self::Centimetre,
        'm' => self::Metre,
        'km' => self::Kilometre,
        'mi' => self::Mile,
        'mile' => self::Mile,
        'miles' => self::Mile,
        'in' => self::Inch,
        '"' => self::Inch,
        'inch' => self::Inch,
        'inches' => self::Inch,
        'ft' => self::Foot,
        "'" => self::Foot,
        'foot' => self::Foot,
        'feet' => self::Foot,
        'n·m' => self::NewtonMetre,
        'nm' => self::NewtonMetre,
        'n.m' => self::NewtonMetre,
        'n-m' => self::NewtonMetre,
        'newtonmetres' => self::NewtonMetre,
        'ft·lb' => self::FootPound,
        'ftlb' => self::FootPound,
        'ft-lb' => self::FootPound,
        'lbft' => self::FootPound,
        'lb-ft' => self::FootPound,
        'in·lb' => self::InchPound,
        'inlb' => self::InchPound,
        'in-lb' => self::InchPound,
        'inlbs' => self::InchPound,
        'in-lbs' => self::InchPound,
        'lbin' => self::InchPound,
        'lb-in' => self::InchPound,
        'inch-pounds' => self::InchPound,
        'inchpounds' => self::InchPound,
        's' => self::Second,
        'sec' => self::Second,
        'secs' => self::Second,
        'second' => self::Second,
        'seconds' => self::Second,
        'min' => self::Minute,
        'mins' => self::Minute,
        'minute' => self::Minute,
        'minutes' => self::Minute,
        'h' => self::Hour,
        'hr' => self::Hour,
        'hrs' => self::Hour,
        'hour' => self::Hour,
        'hours' => self::Hour,
        '%' => self::Percent,
        'percent' => self::Percent,
        'pct' => self::Percent,
    ];

    /**
     * The unit a person means by what was typed, e.g. "fl. oz" or "litres"; null when no unit is known by that name.
     */
    public static function named(string $text): ?self
    {
        $folded = mb_strtolower(preg_replace('/\s+/u', '', $text) ?? '');

        return self::ALIASES[$folded] ?? self::ALIASES[str_replace('.', '', $folded)] ?? null;
    }

    /**
     * What is meant where one kind of thing is asked for: inches of a vacuum are of mercury, pounds of a cap per
     * square inch.
     */
    public static function meant(string $text, self $assumed): ?self
    {
        $folded = mb_strtolower(preg_replace('/[\s.]+/u', '', $text) ?? '');

        return match ($assumed->dimension()) {
            Dimension::Pressure => match ($folded) {
                '"', 'in', 'inch', 'inches', 'inhg', '"hg', 'hg', 'inofmercury', 'inchesofmercury' => self::InchOfMercury,
                'lb', 'lbs', 'pound', 'pounds', '#' => self::Psi,
                default => self::named($text),
            },
            Dimension::Volume => in_array($folded, ['lb', 'lbs', 'pound', 'pounds'], true)
                ? self::Pound
                : self::named($text),
            Dimension::Temperature => in_array($folded, ['°', 'deg', 'degs', 'degree', 'degrees', 'º'], true)
                ? $assumed
                : self::named($text),
            Dimension::Time => match ($folded) {
                "'", '′' => self::Minute,
                '"' => self::Second,
                default => self::named($text),
            },
            Dimension::Torque => in_array(
                $folded,
                ['ft-lbs', 'ftlbs', 'ft-pounds', 'lb-fts', 'lbs-ft', 'footpounds', 'ft-lb'],
                true,
            )
                ? self::FootPound
                : self::named($text),
            default => self::named($text),
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
            self::MillimetreOfMercury => Dimension::Pressure,
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
            self::NewtonMetre, self::FootPound, self::InchPound => Dimension::Torque,
            self::Second, self::Minute, self::Hour => Dimension::Time,
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
            self::Minute => 60.0,
            self::Hour => 3600.0,
            self::Percent => 0.01,
            default => 1.0,
        };
    }
}
