<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

/** A port that was left open and did not run. */
final readonly class SilentPort
{
    /**
     * @param  float  $missingMm  how much higher than the surface it lies; 0 where something else keeps it silent
     * @param  ?string  $about  id of the node that seals first, the
     * passage that keeps its air, or the port that runs instead
     */
    public function __construct(
        public string $port,
        public Silence $because,
        public float $missingMm,
        public ?string $about = null,
    ) {
    }
}
