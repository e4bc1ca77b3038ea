<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** One school beside the others: its plan's own sums. */
final readonly class ComparedSchool
{
    public function __construct(
        public School $school,
        public PredictedFill $fill,
        public Minutes $minutes,
        public int $heatCycles,
    ) {
    }
}
