<?php

declare(strict_types=1);

namespace Aqbel\Core\Learned;

/** One figure of a circuit that its jobs say is another. */
final readonly class Finding
{
    /**
     * @param  ?string  $node  whose height it is, mm; null for a volume
     * @param  ?string  $passage  whose volume it is, mL; null for a height
     * @param  float  $low  in nineteen cases of twenty, were this the figure that is wrong
     * @param  float  $p  how likely it is this one, of all that could be wrong alone
     */
    public function __construct(
        public ?string $node,
        public ?string $passage,
        public float $was,
        public float $is,
        public float $low,
        public float $high,
        public float $p,
    ) {
    }
}
