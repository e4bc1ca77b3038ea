<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Quantity\Range;

/** What one drain of the plan lets out, mL, as far as the circuit is known. */
final readonly class DrainRange
{
    public function __construct(public string $port, public Range $ml)
    {
    }
}
