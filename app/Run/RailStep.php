<?php

declare(strict_types=1);

namespace App\Run;

/** A step in the rail. */
final readonly class RailStep
{
    public function __construct(
        public string $href,
        public string $title,
        public bool $done,
        public bool $passed,
        public bool $current,
    ) {
    }
}
