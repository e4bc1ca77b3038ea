<?php

declare(strict_types=1);

namespace Aqbel\Core\Virtual;

/** What the instruments of a virtual vehicle showed, and what was so. */
final readonly class Trace
{
    /**
     * @param  array<string, list<array{float, float}>>  $channels  seconds and value, by channel
     * @param  ?float  $openedAtS  the thermostat began to let coolant through
     * @param  list<float>  $fanOnS
     * @param  list<float>  $fanOffS
     * @param  array<string, float>  $airMl  left at the end, by passage
     * @param  float  $contentMl  at the end
     * @param  array{in: float, stored: float, lost: float}  $energyKj
     */
    public function __construct(
        public array $channels,
        public ?float $openedAtS,
        public array $fanOnS,
        public array $fanOffS,
        public array $airMl,
        public float $contentMl,
        public array $energyKj,
        public float $pouredMl,
        public float $lostMl,
    ) {
    }
}
