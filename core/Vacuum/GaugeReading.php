<?php

declare(strict_types=1);

namespace Aqbel\Core\Vacuum;

use Aqbel\Core\Quantity\Pressure;

/** The needle so many seconds after the first reading; a gauge vacuum. */
final readonly class GaugeReading
{
    public function __construct(public float $second, public Pressure $vacuum)
    {
    }
}
