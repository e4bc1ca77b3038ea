<?php

declare(strict_types=1);

namespace App\Library;

/** One thing that jobs measured of a circuit, in the reader’s units. */
final readonly class LearnedRow
{
    /**
     * @param  string  $apart  measured less predicted
     * @param  string  $then  what it would have predicted with all that was found; empty where nothing was
     * @param  string  $thenApart  measured less that
     * @param  int  $leftOut  measurements that are far from the others, and not in the mean
     */
    public function __construct(
        public string $what,
        public string $predicted,
        public string $measured,
        public string $apart,
        public string $then,
        public string $thenApart,
        private int $leftOut,
    ) {
    }

    public function note(): string
    {
        return match ($this->leftOut) {
            0 => '',
            1 => 'One is far from the others, and left out',
            default => "{$this->leftOut} are far from the others, and left out",
        };
    }
}
