<?php

declare(strict_types=1);

namespace Aqbel\Core\Saying;

use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Unit;

/** Readings over time with the line a verdict rests on drawn through them. */
final readonly class Trace
{
    /**
     * @param  non-empty-list<array{float, float}>  $readings  seconds since the first, and the value in the core's unit
     * @param  list<array{float, float}>  $fitted  the explanation that was believed, the same way; none where none was
     * @param  list<array{float, float, float}>  $band  seconds, and between what and what it lies most likely
     * @param  ?float  $goal  value that is waited for, or that counts as nothing
     * @param  string  $goalLabel  what it is
     * @param  string  $over  what the readings run over, where it is no time
     */
    public function __construct(
        public string $label,
        public array $readings,
        public array $fitted,
        public Dimension|Unit $in,
        public array $band = [],
        public ?float $goal = null,
        public string $goalLabel = '',
        public string $over = '',
    ) {
    }
}
