<?php

declare(strict_types=1);

namespace App\Elevation;

/** A rectangle in drawing units, by which two things are kept apart. */
final readonly class Box
{
    public function __construct(public float $x, public float $y, public float $width, public float $height)
    {
    }

    /** @return float how much of the two lies over each other */
    public function over(self $other): float
    {
        $wide = min($this->x + $this->width, $other->x + $other->width) - max($this->x, $other->x);
        $high = min($this->y + $this->height, $other->y + $other->height) - max($this->y, $other->y);

        return $wide > 0.0 && $high > 0.0 ? $wide * $high : 0.0;
    }

    /** @return float how far the two stand apart; 0 where they touch */
    public function apart(self $other): float
    {
        $wide = max($this->x, $other->x) - min($this->x + $this->width, $other->x + $other->width);
        $high = max($this->y, $other->y) - min($this->y + $this->height, $other->y + $other->height);

        return hypot(max(0.0, $wide), max(0.0, $high));
    }
}
