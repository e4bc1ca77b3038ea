<?php

declare(strict_types=1);

namespace Aqbel\Core\Stores;

use Aqbel\Core\Matter\Glycol;

/** What the shop has on its shelf and what it can buy. */
final readonly class Inventory
{
    /**
     * @param  list<PartUsed>  $shelf  part-used containers
     * @param  list<Offer>  $offers  the price list
     */
    public function __construct(public array $shelf = [], public array $offers = [])
    {
    }

    /** Only what may go into a circuit of this base and inhibitor family. */
    public function suiting(Glycol $base, string $inhibitor): self
    {
        return new self(
            array_values(array_filter($this->shelf, fn (PartUsed $c) => $c->suits($base, $inhibitor))),
            array_values(array_filter($this->offers, fn (Offer $o) => $o->suits($base, $inhibitor))),
        );
    }

    public function container(string $id): ?PartUsed
    {
        foreach ($this->shelf as $container) {
            if ($container->id === $id) {
                return $container;
            }
        }

        return null;
    }

    public function offer(string $id): ?Offer
    {
        foreach ($this->offers as $offer) {
            if ($offer->id === $id) {
                return $offer;
            }
        }

        return null;
    }
}
