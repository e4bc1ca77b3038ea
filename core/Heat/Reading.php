<?php

declare(strict_types=1);

namespace Aqbel\Core\Heat;

use Aqbel\Core\Quantity\Temperature;

/** A temperature read so many minutes after the first. */
final readonly class Reading
{
    public function __construct(public float $minute, public Temperature $temperature)
    {
    }
}
