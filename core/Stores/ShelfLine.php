<?php

declare(strict_types=1);

namespace Aqbel\Core\Stores;

/** One movement on the shelf: out of a container (negative), or into one that is new. */
final readonly class ShelfLine
{
    /**
     * @param  ?PartUsed  $new  what is put on the shelf, when no container with this id stands there yet
     * @param  float  $plusMinusMl  as well as it was measured
     */
    private function __construct(
        public ?string $container,
        public float $ml,
        public ?PartUsed $new,
        public float $plusMinusMl,
    ) {
    }

    public static function taken(string $container, float $ml, float $plusMinusMl): self
    {
        return new self($container, -$ml, null, $plusMinusMl);
    }

    public static function put(PartUsed $new, float $plusMinusMl): self
    {
        return new self(null, $new->ml, $new, $plusMinusMl);
    }
}
