<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

/** What one drain port lets out, mL, on top of those opened before it. */
final readonly class DrainedPort
{
    public function __construct(public string $port, public float $volumeMl)
    {
    }
}
