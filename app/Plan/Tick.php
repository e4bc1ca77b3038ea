<?php

declare(strict_types=1);

namespace App\Plan;

/** Something the plan may include. */
final readonly class Tick
{
    public function __construct(public string $value, public string $label, public string $about, public bool $ticked)
    {
    }
}
