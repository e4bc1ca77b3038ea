<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Flow\Pocket;

/** A pocket that a fill leaves, and what would let it go, the one that leaves least in the whole circuit first. */
final readonly class CaughtAir
{
    /** @param  list<Freer>  $freers */
    public function __construct(public Pocket $pocket, public array $freers)
    {
    }
}
