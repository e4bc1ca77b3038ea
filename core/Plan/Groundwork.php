<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;

/** What a school plans on: the circuit, the choices, what drains and stays, and fills simulated once for all. */
final readonly class Groundwork
{
    public Simulations $fills;

    /** @var \ArrayObject<string, PredictedFill> by school */
    private \ArrayObject $filledBy;

    /** @var \ArrayObject<string, ?Misfit> by school */
    private \ArrayObject $misfits;

    public function __construct(
        public Circuit $circuit,
        public Choices $choices,
        public Prediction $predicted,
        ?Simulations $fills = null,
    ) {
        $this->fills = $fills ?? new Simulations($circuit, $choices);
        /** @var \ArrayObject<string, PredictedFill> $filledBy */
        $filledBy = new \ArrayObject;
        $this->filledBy = $filledBy;
        /** @var \ArrayObject<string, ?Misfit> $misfits */
        $misfits = new \ArrayObject;
        $this->misfits = $misfits;
    }

    /** The same for one school. */
    public function for(School $school): self
    {
        return new self($this->circuit, $this->choices->with($school->id()), $this->predicted, $this->fills);
    }

    /** What a school's fill comes to, worked out once however many ask. */
    public function filledBy(School $school): PredictedFill
    {
        return $this->filledBy[$school->id()] ??= $school->predict($this->for($school));
    }

    /**
     * Why a school does not fit, worked out once however many ask.
     *
     * @param  \Closure(): ?Misfit  $why
     */
    public function misfit(School $school, \Closure $why): ?Misfit
    {
        if (! $this->misfits->offsetExists($school->id())) {
            $this->misfits[$school->id()] = $why();
        }

        return $this->misfits[$school->id()];
    }

    /** What the circuit takes in the end, when the last air is out, mL. */
    public function coolantMl(): float
    {
        return max(0.0, $this->predicted->usableMl - $this->predicted->retainedMl);
    }
}
