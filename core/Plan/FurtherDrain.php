<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Volumes;

/** A drain point the plan leaves shut: what it would still let out, mL, and the hands it takes. */
final readonly class FurtherDrain
{
    /** @param  list<string>  $covers  that come off for it */
    public function __construct(
        public string $port,
        public float $volumeMl,
        public float $minutes,
        public array $covers,
        public Volumes $letsOut,
    ) {
    }
}
