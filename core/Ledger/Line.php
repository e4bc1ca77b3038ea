<?php

declare(strict_types=1);

namespace Aqbel\Core\Ledger;

/**
 * One volume into (positive) or out of (negative) the circuit, with the range within which 95 % of such readings lie.
 */
final readonly class Line
{
    /**
     * @param  ?float  $fraction glycol share by volume; null for whatever the circuit holds at that moment
     * @param  float  $old  share of it that was in the circuit before the work
     * @param  bool  $fromBatch  poured from what was mixed in this job, or gone back there
     * @param  bool  $lost  on the floor or in rags: nobody has it any more
     * @param  bool  $found  in it before the work: nobody poured it
     * @param  float  $mixes  of what runs out with the strength inside, how far it has mixed:
     * 1 as a whole, 0 as if what came in last ran out alone
     * @param  float  $roughMl  within which it lies where it was told roughly; 0 where it was read off
     * @param  bool  $overMark  as much as is inside above the mark by then, whatever `ml` says
     */
    public function __construct(
        public string $label,
        public float $ml,
        public float $plusMinusMl,
        public ?float $fraction,
        public float $old = 0.0,
        public bool $fromBatch = false,
        public bool $lost = false,
        public float $roughMl = 0.0,
        public float $mixes = 1.0,
        public bool $found = false,
        public bool $overMark = false,
    ) {
    }

    /**
     * Whatever the sums put above the mark by then has gone, seen by nobody: no more than fits is inside. It was of the
     * strength that is inside, and nobody has it.
     */
    public static function gone(string $label, float $ml = 0.0): self
    {
        return new self($label, $ml, 0.0, null, lost: true, overMark: true);
    }

    /** Within which it lies by its vessel and by how it was told, mL. */
    public function toldWithinMl(): float
    {
        return max($this->plusMinusMl, $this->roughMl);
    }
}
