<?php

declare(strict_types=1);

namespace Aqbel\Core\Quantity;

/** What kind of thing a number measures. The first unit listed is the one the core computes in. */
enum Dimension: string
{
    case Pressure = 'pressure';
    case Volume = 'volume';
    case Temperature = 'temperature';
    case Length = 'length';
    case Torque = 'torque';
    case Time = 'time';
    case Fraction = 'fraction';

    /** @return non-empty-list<Unit> */
    public function units(): array
    {
        return match ($this) {
            self::Pressure => [
                Unit::Kilopascal, Unit::InchOfMercury, Unit::Psi, Unit::Bar, Unit::Millibar, Unit::MillimetreOfMercury,
            ],
            self::Volume => [Unit::Millilitre, Unit::Litre, Unit::Quart, Unit::Gallon, Unit::FluidOunce],
            self::Temperature => [Unit::Celsius, Unit::Fahrenheit],
            self::Length => [
                Unit::Millimetre, Unit::Centimetre, Unit::Metre, Unit::Kilometre, Unit::Inch, Unit::Foot, Unit::Mile,
            ],
            self::Torque => [Unit::NewtonMetre, Unit::FootPound],
            self::Time => [Unit::Second, Unit::Minute, Unit::Hour],
            self::Fraction => [Unit::Share, Unit::Percent],
        };
    }
}
