<?php

declare(strict_types=1);

namespace Tests\Core\Judges;

use Aqbel\Core\Vacuum\VacuumHold;

/** A hold as it was judged, and the leak that was really there, mL of air a minute. */
final readonly class SimulatedHold
{
    public function __construct(public VacuumHold $judged, public float $leak)
    {
    }
}
