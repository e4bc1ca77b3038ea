<?php

declare(strict_types=1);

namespace App\Floor;

use Aqbel\Core\Saying\Tone;

/** One open job as the floor shows it, in the reader's units. */
final readonly class FloorJob
{
    public function __construct(
        public int $id,
        public string $plate,
        public string $vehicle,
        public string $work,
        public Summary $summary,
        public FloorWords $words,
        private int $now,
    ) {
    }

    public function secondsLeft(): int
    {
        return max(0, $this->summary->waitsUntil() - $this->now);
    }

    /** "4:05" */
    public function countdown(): string
    {
        return sprintf('%d:%02d', intdiv($this->secondsLeft(), 60), $this->secondsLeft() % 60);
    }

    public function tone(): string
    {
        return ($this->summary->tone ?? Tone::Wait)->value;
    }
}
