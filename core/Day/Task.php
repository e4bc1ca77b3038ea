<?php

declare(strict_types=1);

namespace Aqbel\Core\Day;

/** Hands on a vehicle without a break, and the clock they start. */
final readonly class Task
{
    /**
     * @param  string  $step  the first of it
     * @param  float  $handsMin  somebody is at it
     * @param  float  $waitMin  nobody is, afterwards
     * @param  ?Shared  $with  held from the first minute to the end of the wait
     */
    public function __construct(
        public string $step,
        public float $handsMin,
        public float $waitMin = 0.0,
        public ?Shared $with = null,
    ) {
    }
}
