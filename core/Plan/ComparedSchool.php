<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** One way of filling this circuit, with what it leaves and what it costs. Times are common practice, no source. */
final readonly class ComparedSchool
{
    /**
     * @param  list<array{volume_ml: float, passages: array<string, float>}>  $where  pockets left, largest first
     * @param  bool  $estimate  whether the air rests on the purging estimate instead of the simulated fill
     */
    public function __construct(
        public string $name,
        public string $label,
        public float $airMl,
        public array $where,
        public float $coolantMl,
        public float $handsOnMinutes,
        public float $totalMinutes,
        public int $heatCycles,
        public bool $estimate,
        public string $catch,
    ) {
    }
}
