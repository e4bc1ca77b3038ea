<?php

declare(strict_types=1);

namespace App\Plan;

/** One way put together, in the comparison. */
final readonly class CombinedRow
{
    /**
     * @param  string  $about  what each aid brings, and how many runs it likely takes
     * @param  list<string>  $aids  codes
     */
    public function __construct(
        public string $label,
        public string $about,
        public string $air,
        public string $hands,
        public string $total,
        public string $school,
        public string $warmUp,
        public array $aids,
        public string $end,
        public bool $chosen,
    ) {
    }
}
