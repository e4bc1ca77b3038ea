<?php

declare(strict_types=1);

namespace App\Plan;

/** One way to buy the coolant, in words. */
final readonly class ShoppingWay
{
    public function __construct(
        public string $title,
        public bool $offered,
        public string $price,
        public string $buy,
        public string $help,
    ) {
    }
}
