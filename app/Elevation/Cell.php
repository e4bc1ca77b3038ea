<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Flow\CellState;
use Aqbel\Core\Flow\Run;

/** A room for coolant inside a body, as a rectangle in drawing units that fills from below, or from end to end. */
final readonly class Cell
{
    /**
     * @param  string  $passage  whose coolant stands in it
     * @param  list<Run>  $runs  by share of its length, in the passage's own direction
     * @param  bool  $downward  whether the passage runs from its upper end
     * @param  bool  $level  whether it lies level, and fills from the front to the rear
     */
    public function __construct(
        public string $passage,
        public float $x,
        public float $y,
        public float $width,
        public float $height,
        private array $runs,
        private bool $downward,
        private bool $level = false,
    ) {
    }

    public function at(float $x, float $width): self
    {
        return new self(
            $this->passage,
            round($x, 1),
            $this->y,
            round($width, 1),
            $this->height,
            $this->runs,
            $this->downward,
            $this->level,
        );
    }

    /** @return list<array{x: float, y: float, width: float, height: float}> where there is coolant, or trapped air */
    public function filled(CellState $with): array
    {
        $filled = [];
        foreach ($this->runs as $run) {
            if ($run->state !== $with) {
                continue;
            }
            [$from, $to] = $this->downward ? [$run->from, $run->to] : [1.0 - $run->to, 1.0 - $run->from];
            $filled[] = $this->level
                ? [
                    'x' => round($this->x + $from * $this->width, 1),
                    'y' => $this->y,
                    'width' => round(($to - $from) * $this->width, 1),
                    'height' => $this->height,
                ]
                : [
                    'x' => $this->x,
                    'y' => round($this->y + $from * $this->height, 1),
                    'width' => $this->width,
                    'height' => round(($to - $from) * $this->height, 1),
                ];
        }

        return $filled;
    }
}
