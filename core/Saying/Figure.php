<?php

declare(strict_types=1);

namespace Aqbel\Core\Saying;

use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Unit;

/**
 * The one number of a step that is read from the bumper, with where it came from and the level it is judged against.
 */
final readonly class Figure
{
    /**
     * @param  ?float  $base  in the core's unit; null while there is none
     * @param  ?float  $datum  the level it is judged against, in the same unit
     */
    public function __construct(
        public string $label,
        public ?float $base,
        public Dimension|Unit $in,
        public Origin $origin,
        public ?float $datum = null,
        public string $datumLabel = '',
        public float $plusMinus = 0.0,
    ) {
    }
}
