<?php

declare(strict_types=1);

namespace App\Plan;

/** One school beside the others, in the reader's units. */
final readonly class SchoolRow
{
    public function __construct(
        public string $label,
        public string $cycles,
        public string $air,
        public string $hands,
        public string $total,
        public bool $recommended,
        public string $id,
        public bool $runs,
        public bool $chosen,
    ) {
    }
}
