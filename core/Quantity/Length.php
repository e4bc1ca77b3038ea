<?php

declare(strict_types=1);

namespace Aqbel\Core\Quantity;

/** A length, a height or an elevation. */
final readonly class Length extends Quantity
{
    public static function dimension(): Dimension
    {
        return Dimension::Length;
    }

    public static function millimetres(float $millimetres): self
    {
        return self::of($millimetres, Unit::Millimetre);
    }

    public static function metres(float $metres): self
    {
        return self::of($metres, Unit::Metre);
    }

    public function mm(): float
    {
        return $this->base;
    }
}
