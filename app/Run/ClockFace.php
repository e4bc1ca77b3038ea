<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Saying\Clock;

/** A running clock as a page shows it. */
final readonly class ClockFace
{
    public function __construct(public Clock $clock, private int $now)
    {
    }

    /** "4:05", or "over" */
    public function time(): string
    {
        $left = $this->clock->until - $this->now;

        return $left > 0 ? sprintf('%d:%02d', intdiv($left, 60), $left % 60) : 'over';
    }
}
