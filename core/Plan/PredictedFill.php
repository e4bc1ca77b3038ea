<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Passage;
use Aqbel\Core\Circuit\PassageKind;
use Aqbel\Core\Flow\Pocket;
use Aqbel\Core\Flow\PortRun;
use Aqbel\Core\Flow\Runs;
use Aqbel\Core\Flow\SilentPort;
use Aqbel\Core\Flow\Tie;

/** What a school's fill takes and leaves, in this circuit under these choices. */
final readonly class PredictedFill
{
    /**
     * A passage of block or head that holds less of the capacity is a housing, no jacket (common practice, no source).
     */
    private const JACKET_SHARE = 0.03;

    /** A jacket of which more than this is air is dry (common practice, no source). */
    private const DRY_SHARE = 0.25;

    /**
     * @param  float  $airMl  left inside, above what the tank holds at the mark
     * @param  float  $coolantMl  poured in the end, on top of what stayed inside: now, and when the air has left
     * @param  Runs  $runs  where coolant and air stand when it is done
     * @param  list<Pocket>  $pockets  of air, largest first
     * @param  list<PortRun>  $flows  bleed points in the order they run
     * @param  list<SilentPort>  $silent  bleed points that are used and do not run
     * @param  list<Tie>  $ties  pairs of heights on which the air hangs and that lie within what a tape measures
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
        public array $ties = [],
    ) {
    }

    /** @param  list<Tie>  $ties */
    public function hangingOn(array $ties): self
    {
        return new self(
            $this->airMl,
            $this->coolantMl,
            $this->runs,
            $this->pockets,
            $this->flows,
            $this->silent,
            $this->estimate,
            $ties,
        );
    }

    /** The least that may stay, whichever way round the heights are on which it hangs, mL. */
    public function airLowMl(): float
    {
        return min([$this->airMl, ...array_map(fn (Tie $tie) => $tie->lowMl, $this->ties)]);
    }

    /** And the most. */
    public function airHighMl(): float
    {
        return max([$this->airMl, ...array_map(fn (Tie $tie) => $tie->highMl, $this->ties)]);
    }

    /** What of the air waits for a run: not what gathers under the neck, where it is topped up before, mL. */
    public function waitsForARunMl(): float
    {
        return min($this->airMl, array_sum(array_map(fn (Pocket $pocket) => $pocket->volumeMl(), $this->pockets)));
    }

    /**
     * Whether coolant stands in every jacket of block and head where this fill is done: without, no engine is started
     * on it.
     */
    public function wetsTheJackets(Circuit $circuit): bool
    {
        $jackets = array_filter(
            $circuit->passages,
            fn (Passage $passage) => in_array($passage->kind, [PassageKind::Block, PassageKind::Head], true)
                && $passage->volumeMl >= self::JACKET_SHARE * $circuit->capacityMl(),
        );
        foreach ($jackets as $id => $jacket) {
            $air = array_sum(array_map(fn (Pocket $pocket) => $pocket->air->in($id), $this->pockets));
            if ($air > self::DRY_SHARE * $jacket->volumeMl) {
                return false;
            }
        }

        return true;
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
