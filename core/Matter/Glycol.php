<?php

declare(strict_types=1);

namespace Aqbel\Core\Matter;

/** The glycol a coolant is made from. Colour tells nothing about it. */
enum Glycol: string
{
    case Ethylene = 'ethylene_glycol';
    case Propylene = 'propylene_glycol';

    public function label(): string
    {
        return $this === self::Ethylene ? 'Ethylene glycol' : 'Propylene glycol';
    }

    /** kg/m³ at 20 °C (CRC Handbook, from memory). */
    public function density(): float
    {
        return $this === self::Ethylene ? 1113.5 : 1036.1;
    }

    /** g/mol. */
    public function molarMass(): float
    {
        return $this === self::Ethylene ? 62.068 : 76.095;
    }

    /** Cubic expansion per kelvin (from memory). */
    public function expansion(): float
    {
        return $this === self::Ethylene ? 0.65e-3 : 0.73e-3;
    }

    /**
     * Freeze points of the aqueous glycol: % by mass => °C
     * (ASHRAE Handbook—Fundamentals, physical properties of secondary coolants, from memory).
     *
     * @return non-empty-array<int, float>
     */
    public function freezeTable(): array
    {
        return $this === self::Ethylene
            ? [
                0 => 0.0,
                5 => -1.4,
                10 => -3.2,
                15 => -5.4,
                20 => -7.8,
                25 => -10.7,
                30 => -14.1,
                35 => -17.9,
                40 => -22.3,
                45 => -27.5,
                50 => -33.8,
                52 => -36.4,
                55 => -41.1,
                60 => -48.3,
            ]
            : [
                0 => 0.0,
                5 => -1.6,
                10 => -3.3,
                15 => -5.1,
                20 => -7.1,
                25 => -9.6,
                30 => -12.7,
                35 => -16.4,
                40 => -21.1,
                45 => -26.7,
                50 => -33.5,
                55 => -41.6,
                60 => -51.1,
            ];
    }
}
