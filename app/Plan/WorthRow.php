<?php

declare(strict_types=1);

namespace App\Plan;

/** One drain point weighed: what it would let out, the hands it takes, and the verdict. */
final readonly class WorthRow
{
    public function __construct(
        public string $label,
        public string $covers,
        public string $volume,
        public string $hands,
        public string $verdict,
        public string $keepsDry,
        public bool $chosen,
    ) {
    }
}
