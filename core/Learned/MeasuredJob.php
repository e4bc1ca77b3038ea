<?php

declare(strict_types=1);

namespace Aqbel\Core\Learned;

/** What one signed job measured of its circuit. */
final readonly class MeasuredJob
{
    /**
     * @param  list<array{string, float, float}>  $drains  port, mL
     * and ± of what came out, in the order they were opened
     * @param  ?array{float, float}  $retained  mL and ±, that stayed
     * @param  ?array{float, float}  $poured  mL and ±, that went in until it was full
     * @param  ?array{float, float}  $air  mL and ±, that was topped up afterwards
     * @param  list<string>  $alsoOpen  drains that were opened after these, and of which nobody says what came out
     */
    public function __construct(
        public array $drains,
        public ?array $retained = null,
        public ?array $poured = null,
        public ?array $air = null,
        public array $alsoOpen = [],
    ) {
    }

    /** By which jobs are alike: the same things measured in the same order: `a,b+c`, c was only opened. */
    public function order(): string
    {
        return implode(',', array_column($this->drains, 0))
            .($this->alsoOpen === [] ? '' : '+'.implode(',', $this->alsoOpen));
    }
}
