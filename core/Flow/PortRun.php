<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

/** A port that runs once so much has been poured, mL. */
final readonly class PortRun
{
    public function __construct(public string $port, public float $atMl)
    {
    }
}
