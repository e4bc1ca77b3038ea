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
     * @param  bool  $old  coolant that was in the circuit before the work
     * @param  bool  $fromBatch  poured from what was mixed in this job, or gone back there
     */
    public function __construct(
        public string $label,
        public float $ml,
        public float $plusMinusMl,
        public ?float $fraction,
        public bool $old = false,
        public bool $fromBatch = false,
    ) {
    }
}
