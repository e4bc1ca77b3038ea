<?php

declare(strict_types=1);

namespace Aqbel\Core\Stores;

/**
 * What is in a container by everything that moved. A count ends what was unsure before it, and an earlier line
 * that is put right later does not change what was counted.
 */
final readonly class Stock
{
    private function __construct(public float $ml, public float $plusMinusMl)
    {
    }

    /** @param  iterable<Movement>  $movements  in the order they happened */
    public static function of(iterable $movements): self
    {
        $stock = new self(0.0, 0.0);
        foreach ($movements as $movement) {
            $stock = $stock->after($movement);
        }

        return $stock;
    }

    public function after(Movement $movement): self
    {
        return $movement->countedMl === null
            ? new self($this->ml + $movement->ml, hypot($this->plusMinusMl, $movement->plusMinusMl))
            : new self($movement->countedMl, $movement->plusMinusMl);
    }
}
