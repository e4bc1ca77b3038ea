<?php

declare(strict_types=1);

namespace Aqbel\Core\Ledger;

/** One volume into (positive) or out of (negative) the circuit, with half a graduation as its uncertainty. */
final readonly class Line
{
    /**
     * @param  ?float  $fraction glycol share by volume; null for whatever the circuit holds at that moment
     * @param  bool  $old  coolant that was in the circuit before the work
     */
    public function __construct(
        public string $label,
        public float $ml,
        public float $plusMinusMl,
        public ?float $fraction,
        public bool $old = false,
    ) {
    }
}
