<?php

declare(strict_types=1);

namespace Aqbel\Core\Stores;

/** A size of container that can be bought: what is in it, mL, and its price. */
final readonly class Package
{
    public function __construct(public Liquid $liquid, public float $ml, public float $price)
    {
    }
}
