<?php

declare(strict_types=1);

namespace Tests\Core\Judges;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Chance that is the same every time. */
final class Chance
{
    private readonly Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    public function between(float $low, float $high): float
    {
        return $low + ($high - $low) * $this->random->getInt(0, 1_000_000) / 1.0e6;
    }

    public function logBetween(float $low, float $high): float
    {
        return exp($this->between(log($low), log($high)));
    }

    public function whole(int $low, int $high): int
    {
        return $this->random->getInt($low, $high);
    }

    /** Standard normal, by Box and Muller. */
    public function normal(): float
    {
        return sqrt(-2.0 * log($this->between(1.0e-9, 1.0))) * cos(2.0 * M_PI * $this->between(0.0, 1.0));
    }
}
