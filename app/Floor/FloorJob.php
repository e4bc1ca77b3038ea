<?php

declare(strict_types=1);

namespace App\Floor;

use Aqbel\Core\Job\PortState;
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
        public string $holder,
        public ?int $restsUntil,
        private int $now,
        public bool $danger = false,
    ) {
    }

    /** Unix seconds; 0 where hands are needed now. */
    public function waitsUntil(): int
    {
        return $this->danger ? 0 : max($this->summary->waitsUntil(), $this->rests() ? (int) $this->restsUntil : 0);
    }

    public function since(): int
    {
        return $this->summary->since ?? $this->now;
    }

    public function rests(): bool
    {
        return ($this->restsUntil ?? 0) > $this->now && $this->summary->tone !== Tone::Stop;
    }

    /** How many points stand open on it. */
    public function pointsOpen(): int
    {
        return count(array_filter($this->summary->ports, fn (PortState $is) => $is !== PortState::Closed));
    }

    public function secondsLeft(): int
    {
        return max(0, $this->waitsUntil() - $this->now);
    }

    /** "4:05", "1:02:03" */
    public function countdown(): string
    {
        $left = $this->secondsLeft();

        return $left < 3600
            ? sprintf('%d:%02d', intdiv($left, 60), $left % 60)
            : sprintf('%d:%02d:%02d', intdiv($left, 3600), intdiv($left, 60) % 60, $left % 60);
    }

    public function tone(): string
    {
        return ($this->summary->tone ?? Tone::Wait)->value;
    }
}
