<?php

declare(strict_types=1);

namespace Aqbel\Core\Quantity;

/** A volume of liquid or gas. */
final readonly class Volume extends Quantity
{
    public static function dimension(): Dimension
    {
        return Dimension::Volume;
    }

    public static function millilitres(float $millilitres): self
    {
        return self::of($millilitres, Unit::Millilitre);
    }

    public static function litres(float $litres): self
    {
        return self::of($litres, Unit::Litre);
    }

    public function mL(): float
    {
        return $this->base;
    }
}
