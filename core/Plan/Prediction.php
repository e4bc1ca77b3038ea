<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Volumes;
use Aqbel\Core\Flow\Runs;
use Aqbel\Core\Flow\SlowRegion;

/**
 * The numbers every plan rests on whatever the school: what drains, what stays, what is needed. mL, glycol as shares.
 */
final readonly class Prediction
{
    /**
     * @param  float  $headspaceMl  air in the tank at the cold mark
     * @param  float  $usableMl  what the circuit holds when it is full to the cold mark
     * @param  list<PredictedDrain>  $drains  in the order they are opened
     * @param  list<FurtherDrain>  $further  points left shut, those that would let out most first
     * @param  list<SlowRegion>  $slow
     * @param  Volumes  $retained  by passage, after the drains
     * @param  Runs  $fullRuns  the circuit full to its cold mark, without trapped air
     * @param  float  $neededMl  that a fill takes
     * @param  float  $stockMl  of it concentrate or premix, the rest water
     * @param  float  $finalFraction  of the whole circuit in the end
     */
    public function __construct(
        public float $capacityMl,
        public float $headspaceMl,
        public float $usableMl,
        public array $drains,
        public array $further,
        public array $slow,
        public Volumes $retained,
        public float $retainedMl,
        public Runs $fullRuns,
        public float $neededMl,
        public float $stockMl,
        public float $waterMl,
        public int $rinses,
        public bool $reachable,
        public float $finalFraction,
    ) {
    }

    public function drain(string $port): ?PredictedDrain
    {
        foreach ($this->drains as $drain) {
            if ($drain->port === $port) {
                return $drain;
            }
        }

        return null;
    }

    public function furtherDrain(string $port): ?FurtherDrain
    {
        foreach ($this->further as $further) {
            if ($further->port === $port) {
                return $further;
            }
        }

        return null;
    }

    /** What opening a point empties, planned or not. */
    public function letsOut(string $port): Volumes
    {
        return $this->drain($port)->letsOut ?? $this->furtherDrain($port)->letsOut ?? new Volumes;
    }
}
