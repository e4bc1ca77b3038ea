<?php

declare(strict_types=1);

namespace Aqbel\Core\Vacuum;

use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;

/** The gauge of a pressure tester so many seconds after the first reading, and how warm the circuit was. */
final readonly class PressureReading
{
    public function __construct(public float $second, public Pressure $pressure, public Temperature $temperature)
    {
    }
}
