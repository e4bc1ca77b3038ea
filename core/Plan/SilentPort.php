<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** A bleed point that cannot run as the pour is planned. */
final readonly class SilentPort
{
    /** @param  float  $missingMm  how much higher than the surface it lies; 0 where air seals it off first */
    public function __construct(public string $port, public float $missingMm)
    {
    }
}
