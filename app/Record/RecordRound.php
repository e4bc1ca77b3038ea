<?php

declare(strict_types=1);

namespace App\Record;

/** A warm-up with its top-ups, as a line of a small table and a bar of the level it took. */
final readonly class RecordRound
{
    /** @param  float  $share  of the largest top-up of the job, 0 to 1 */
    public function __construct(
        public string $title,
        public string $hottest,
        public string $topped,
        public float $share,
        public string $verdict,
    ) {
    }
}
