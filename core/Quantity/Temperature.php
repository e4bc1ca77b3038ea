<?php

declare(strict_types=1);

namespace Aqbel\Core\Quantity;

/** A temperature. */
final readonly class Temperature extends Quantity
{
    public static function dimension(): Dimension
    {
        return Dimension::Temperature;
    }

    public static function celsius(float $celsius): self
    {
        return self::of($celsius, Unit::Celsius);
    }

    public static function fahrenheit(float $fahrenheit): self
    {
        return self::of($fahrenheit, Unit::Fahrenheit);
    }

    public function degC(): float
    {
        return $this->base;
    }
}
