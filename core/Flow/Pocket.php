<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

use Aqbel\Core\Circuit\Volumes;

/** Air left by a fill: where it stands, how much, and up to which height. */
final readonly class Pocket
{
    /** @param  bool  $open  whether it can still leave through an open port */
    public function __construct(public Volumes $air, public bool $open, public float $highestMm)
    {
    }

    public function volumeMl(): float
    {
        return $this->air->sum();
    }
}
