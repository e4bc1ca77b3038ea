<?php

declare(strict_types=1);

namespace Aqbel\Core\Stores;

/** One movement on the shelf: out of a container (negative), or into one that is new. */
final readonly class ShelfLine
{
    /** @param  ?PartUsed  $new  what is put on the shelf, when no container with this id stands there yet */
    private function __construct(public ?string $container, public float $ml, public ?PartUsed $new)
    {
    }

    public static function taken(string $container, float $ml): self
    {
        return new self($container, -$ml, null);
    }

    public static function put(PartUsed $new): self
    {
        return new self(null, $new->ml, $new);
    }
}
