<?php

declare(strict_types=1);

namespace Aqbel\Core\Saying;

use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Range;
use Aqbel\Core\Quantity\Unit;

/**
 * The one number of a step that is read from the bumper, with where it came from and the level it is judged against.
 */
final readonly class Figure
{
    /**
     * @param  ?float  $base  in the core's unit; null while there is none
     * @param  ?float  $datum  the level it is judged against, in the same unit
     * @param  ?Range  $within  where it lies in nineteen cases of twenty; null where nothing is said of that
     */
    public function __construct(
        public string $label,
        public ?float $base,
        public Dimension|Unit $in,
        public Origin $origin,
        public ?float $datum = null,
        public string $datumLabel = '',
        public ?Range $within = null,
    ) {
    }
}
