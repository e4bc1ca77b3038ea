<?php

declare(strict_types=1);

namespace Aqbel\Core\Quantity;

/** A pressure or a difference of pressures. Absolute unless the name of the value says gauge or vacuum. */
final readonly class Pressure extends Quantity
{
    public static function dimension(): Dimension
    {
        return Dimension::Pressure;
    }

    public static function kilopascals(float $kilopascals): self
    {
        return self::of($kilopascals, Unit::Kilopascal);
    }

    public static function inchesOfMercury(float $inchesOfMercury): self
    {
        return self::of($inchesOfMercury, Unit::InchOfMercury);
    }

    public static function psi(float $psi): self
    {
        return self::of($psi, Unit::Psi);
    }

    public function kPa(): float
    {
        return $this->base;
    }
}
