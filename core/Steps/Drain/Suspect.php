<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Drain;

/** A part that probably did not drain, and the point that gave so much less than it should, mL. */
final readonly class Suspect
{
    public function __construct(
        public string $port,
        public string $partId,
        public string $part,
        public float $missingMl,
    ) {
    }

    /** Never more than is missing in all. */
    public function within(float $missingMl): self
    {
        return new self($this->port, $this->partId, $this->part, min($this->missingMl, $missingMl));
    }
}
