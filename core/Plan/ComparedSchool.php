<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** One school beside the others: its plan's own sums, with the runs that likely come on top. */
final readonly class ComparedSchool
{
    public function __construct(
        public School $school,
        public PredictedFill $fill,
        public Minutes $minutes,
        public LikelyRuns $runs,
    ) {
    }

    /** Of the sequence and of the further runs that are likely. */
    public function likelyMinutes(): Minutes
    {
        return $this->minutes->plus($this->runs->further());
    }
}
