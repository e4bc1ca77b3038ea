<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Flow\Pocket;
use Aqbel\Core\Flow\PortRun;
use Aqbel\Core\Flow\Runs;
use Aqbel\Core\Flow\SilentPort;

/** What a school's fill takes and leaves, in this circuit under these choices. */
final readonly class PredictedFill
{
    /**
     * @param  float  $airMl  left inside, above what the tank holds at the mark
     * @param  float  $coolantMl  poured, on top of what stayed inside
     * @param  Runs  $runs  where coolant and air stand when it is done
     * @param  list<Pocket>  $pockets  of air, largest first
     * @param  list<PortRun>  $flows  bleed points in the order they run
     * @param  list<SilentPort>  $silent  bleed points that are used and do not run
     * @param  bool  $estimate  whether the air rests on the purging estimate instead of the simulated fill
     */
    public function __construct(
        public float $airMl,
        public float $coolantMl,
        public Runs $runs,
        public array $pockets = [],
        public array $flows = [],
        public array $silent = [],
        public bool $estimate = false,
    ) {
    }

    /** With a share of its air, as running leaves it: an estimate. */
    public function leaving(float $share): self
    {
        return new self(
            $share * $this->airMl,
            $this->coolantMl,
            $this->runs,
            $this->pockets,
            $this->flows,
            $this->silent,
            true,
        );
    }
}
