<?php

declare(strict_types=1);

namespace App\Plan;

/** A number of the plan, in the reader's units. */
final readonly class Stepper
{
    public function __construct(public string $name, public string $label, public string $value, public string $unit)
    {
    }
}
