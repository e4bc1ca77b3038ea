<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

/** A point of the circuit: x forward from the front axle, z up from the floor, in mm. */
final readonly class Node
{
    /** A height that nobody says more of was taken by tape, mm (common practice, no source). */
    public const TAPE_MM = 10.0;

    /**
     * @param  float  $plusMinusMm  of its height, in nineteen cases of twenty: 0 from a drawing, 25 by eye
     * @param  ?string  $follows  the node it is fixed to, as a neck to
     * its radiator: where that one stands higher, so does it
     */
    public function __construct(
        public string $id,
        public float $xMm,
        public float $zMm,
        public string $label,
        public float $plusMinusMm = self::TAPE_MM,
        public ?string $follows = null,
    ) {
    }

    public function raised(float $mm): self
    {
        return new self($this->id, $this->xMm, $this->zMm + $mm, $this->label, $this->plusMinusMm, $this->follows);
    }
}
