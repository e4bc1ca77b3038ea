<?php

declare(strict_types=1);

namespace Aqbel\Core\Quantity;

/** An immutable amount. Each kind has constructors named by unit; `in()` gives it back in any unit of its dimension. */
abstract readonly class Quantity
{
    final private function __construct(protected float $base)
    {
    }

    abstract public static function dimension(): Dimension;

    /** @throws \InvalidArgumentException when the unit measures something else */
    public static function of(float $number, Unit $unit): static
    {
        self::assertMeasures($unit, static::dimension());

        return new static($unit->toBase($number));
    }

    /** @throws \InvalidArgumentException when the unit measures something else */
    public function in(Unit $unit): float
    {
        self::assertMeasures($unit, static::dimension());

        return $unit->fromBase($this->base);
    }

    private static function assertMeasures(Unit $unit, Dimension $dimension): void
    {
        if ($unit->dimension() !== $dimension) {
            throw new \InvalidArgumentException("{$unit->value} does not measure {$dimension->value}");
        }
    }
}
