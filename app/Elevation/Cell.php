<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Circuit\Passage;
use Aqbel\Core\Flow\CellState;
use Aqbel\Core\Flow\Run;
use Aqbel\Core\Flow\Runs;

/** A room for coolant inside a body, as a rectangle in drawing units that fills from below, or from end to end. */
final readonly class Cell
{
    private const LEAST = 16.0;

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

    /** As high as the two ends of a passage stand; its width is given to it. */
    public static function of(
        Passage $passage,
        Scale $scale,
        ?Runs $runs,
        float $x = 0.0,
        float $width = 0.0,
        bool $level = false,
    ): self {
        [$from, $to] = [$scale->node($passage->from), $scale->node($passage->to)];
        [$top, $bottom] = [min($from[1], $to[1]), max($from[1], $to[1])];
        $more = max(0.0, self::LEAST - ($bottom - $top)) / 2.0;

        return new self(
            $passage->id,
            round($x, 1),
            round($top - $more, 1),
            round($width, 1),
            round($bottom - $top + 2.0 * $more, 1),
            $runs?->of($passage->id) ?? [],
            $level ? $from[0] <= $to[0] : $from[1] <= $to[1],
            $level,
        );
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
