<?php

declare(strict_types=1);

namespace Aqbel\Core\Mixing;

use Aqbel\Core\Quantity\Volume;

/** How much concentrate and water bring the whole circuit, with what is retained in it, to the target. */
final readonly class Mix
{
    public Volume $room;

    public Volume $glycol;

    public function __construct(
        public Volume $capacity,
        public Volume $retained,
        public float $retainedFraction,
        public float $targetFraction,
        /** Glycol share of the stock poured: 1 for concentrate, 0.5 for the usual premix. */
        public float $stockFraction = 1.0,
    ) {
        $this->room = Volume::millilitres(max(0.0, $capacity->mL() - $retained->mL()));
        $wanted = $capacity->mL() * $targetFraction - $retained->mL() * $retainedFraction;
        $this->glycol = Volume::millilitres(min(max(0.0, $wanted), $this->room->mL() * $stockFraction));
    }

    /** The same need, met from stock of another strength. */
    public function from(float $stockFraction): self
    {
        return new self(
            $this->capacity,
            $this->retained,
            $this->retainedFraction,
            $this->targetFraction,
            $stockFraction,
        );
    }

    public function stock(): Volume
    {
        return Volume::millilitres($this->stockFraction > 0.0 ? $this->glycol->mL() / $this->stockFraction : 0.0);
    }

    public function water(): Volume
    {
        return Volume::millilitres($this->room->mL() - $this->stock()->mL());
    }

    /** Strength of the bucket when all of it is mixed outside, as a vacuum fill needs. */
    public function bucketFraction(): float
    {
        return $this->room->mL() > 0.0 ? $this->glycol->mL() / $this->room->mL() : $this->targetFraction;
    }

    public function finalFraction(): float
    {
        return ($this->glycol->mL() + $this->retained->mL() * $this->retainedFraction) / $this->capacity->mL();
    }

    public function reachable(): bool
    {
        return abs($this->finalFraction() - $this->targetFraction) < 0.001;
    }
}
