<?php

declare(strict_types=1);

namespace Aqbel\Core\Stores;

/** So many of one package. */
final readonly class Bought
{
    public function __construct(public Package $package, public int $count)
    {
    }
}
