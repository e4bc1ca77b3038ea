<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** Work, split into hands on and waiting, so that another vehicle fits in the waits. */
final readonly class Minutes
{
    public function __construct(public float $hands = 0.0, public float $wait = 0.0)
    {
    }

    public function plus(self $other): self
    {
        return new self($this->hands + $other->hands, $this->wait + $other->wait);
    }

    public function times(float $factor): self
    {
        return new self($factor * $this->hands, $factor * $this->wait);
    }

    public function total(): float
    {
        return $this->hands + $this->wait;
    }
}
