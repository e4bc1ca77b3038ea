<?php

declare(strict_types=1);

namespace App\Record;

/** What one month came to. */
final readonly class RecordMonth
{
    public function __construct(
        public string $month,
        public int $jobs,
        public int $cameBack,
        public float $inMl,
        public float $hours,
        public ?float $airPredictedMl,
        public ?float $airFoundMl,
    ) {
    }
}
