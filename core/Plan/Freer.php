<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** One way to let the air of a pocket go, and what it would leave. */
final readonly class Freer
{
    /**
     * @param  float  $byMm  that the nose or the funnel stands higher; 0 for the others
     * @param  string  $port  bleed point that is opened too; empty for the others
     * @param  float  $leavesMl  of this pocket
     * @param  float  $airMl  in the whole circuit then: what frees one pocket may catch another
     */
    public function __construct(
        public Frees $by,
        public float $leavesMl,
        public float $airMl,
        public float $byMm = 0.0,
        public string $port = '',
    ) {
    }
}
