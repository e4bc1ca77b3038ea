<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Circuit\Part;

/** A part that probably did not drain, and the points that gave so much less than they should, mL. */
final readonly class DidNotDrain
{
    /** @param  list<string>  $ports  one, or several that ran together */
    public function __construct(public array $ports, public Part $part, public float $missingMl)
    {
    }

    /** Never more than is missing in all. */
    public function within(float $missingMl): self
    {
        return new self($this->ports, $this->part, min($this->missingMl, $missingMl));
    }
}
