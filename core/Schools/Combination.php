<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Plan\LikelyRuns;
use Aqbel\Core\Plan\Minutes;
use Aqbel\Core\Plan\PredictedFill;

/** A way put together, with what it leaves, how long it takes, and what each of its aids brings on this circuit. */
final readonly class Combination
{
    /** @param  array<string, float>  $brings  mL of air less than without it, by aid */
    public function __construct(
        public Way $way,
        public PredictedFill $fill,
        private Minutes $minutes,
        public LikelyRuns $runs,
        public array $brings,
    ) {
    }

    /** Of its sequence and of the further runs that are likely. */
    public function likelyMinutes(): Minutes
    {
        return $this->minutes->plus($this->runs->further());
    }

    /**
     * Whether another leaves no more air and takes no longer, and is better in one of
     * both; what is estimated beats nothing that is simulated.
     */
    public function isWorseThan(self $other): bool
    {
        if ($other->fill->estimate && ! $this->fill->estimate) {
            return false;
        }
        [$mine, $theirs] = [
            [$this->fill->airMl, $this->likelyMinutes()->total()],
            [$other->fill->airMl, $other->likelyMinutes()->total()],
        ];

        return $theirs[0] <= $mine[0] && $theirs[1] <= $mine[1] && $theirs !== $mine;
    }
}
