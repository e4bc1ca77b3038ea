<?php

declare(strict_types=1);

namespace Aqbel\Core\Stores;

/** Into a container (positive) or out of it, or what was found in it when it was counted. */
final readonly class Movement
{
    public float $plusMinusMl;

    /**
     * @param  ?float  $countedMl  what is in it by this count, whatever the sums say; null where it is none
     * @param  ?float  $plusMinusMl  within which 95 % of such
     * amounts lie; null where nobody told how well it was measured
     */
    public function __construct(
        public Moved $why,
        public float $ml,
        public ?float $countedMl = null,
        ?float $plusMinusMl = null,
    ) {
        $this->plusMinusMl = $plusMinusMl ?? $why->plusMinusMl($countedMl ?? $ml);
    }
}
