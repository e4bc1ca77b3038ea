<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

/**
 * Two heights so near to each other that a tape may have taken them the wrong way round, and on which it hangs how much
 * air stays.
 */
final readonly class Tie
{
    /**
     * @param  string  $one  node
     * @param  float  $apartMm  as they were measured
     * @param  float  $lowMl  air that stays, whichever of the two is the higher one: least
     * @param  float  $highMl  and most
     */
    public function __construct(
        public string $one,
        public string $other,
        public float $apartMm,
        public float $lowMl,
        public float $highMl,
    ) {
    }
}
