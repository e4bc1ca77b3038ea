<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Volumes;

/** What one drain of the plan lets out of a circuit that is full to its mark, mL, and which passages that empties. */
final readonly class PredictedDrain
{
    public function __construct(public string $port, public float $volumeMl, public Volumes $letsOut)
    {
    }
}
