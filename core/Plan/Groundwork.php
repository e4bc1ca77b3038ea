<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;

/** What a school plans on: the circuit, the choices, what drains and stays, and fills simulated once for all. */
final readonly class Groundwork
{
    public Simulations $fills;

    public function __construct(
        public Circuit $circuit,
        public Choices $choices,
        public Prediction $predicted,
        ?Simulations $fills = null,
    ) {
        $this->fills = $fills ?? new Simulations($circuit, $choices->atmosphere()->pressure->kPa());
    }

    /** What the circuit takes in the end, when the last air is out, mL. */
    public function coolantMl(): float
    {
        return max(0.0, $this->predicted->usableMl - $this->predicted->retainedMl);
    }
}
