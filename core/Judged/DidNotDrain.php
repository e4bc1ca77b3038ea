<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Circuit\Part;

/** Points that gave so much less than they should, mL, and the part that probably still holds it. */
final readonly class DidNotDrain
{
    /**
     * @param  list<string>  $ports  one, or several that ran together
     * @param  list<Part>  $parts  several where nothing tells them apart; none where no single part holds so much
     */
    public function __construct(public array $ports, public array $parts, public float $missingMl)
    {
    }

    /** Never more than is missing in all. */
    public function within(float $missingMl): self
    {
        return new self($this->ports, $this->parts, min($this->missingMl, $missingMl));
    }
}
