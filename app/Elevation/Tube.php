<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Flow\CellState;
use Aqbel\Core\Flow\Run;

/** A hose, a line or a drilling: a curve as wide as its bore. What is in it is told by shares of its length. */
final readonly class Tube
{
    private const STRETCHES = 14;

    /**
     * @param  string  $path  from its first node to its second
     * @param  float  $bore  drawing units
     * @param  list<Run>  $runs
     */
    public function __construct(public string $passage, public string $path, public float $bore, private array $runs)
    {
    }

    /** @return list<Box> small ones along it, which a name keeps clear of where it can */
    public function along(): array
    {
        $box = fn (array $at): Box => new Box(
            $at[0] - $this->bore / 2.0,
            $at[1] - $this->bore / 2.0,
            $this->bore,
            $this->bore,
        );

        return array_map($box, array_slice($this->points(), 1, -1));
    }

    /** Drawing units, from end to end: for programs that know no `pathLength`. */
    public function length(): float
    {
        $points = $this->points();
        $length = 0.0;
        for ($i = 1; $i < count($points); $i++) {
            $length += hypot($points[$i][0] - $points[$i - 1][0], $points[$i][1] - $points[$i - 1][1]);
        }

        return $length;
    }

    /** @return list<array{float, float}> along the curve, both ends included */
    private function points(): array
    {
        preg_match_all('/-?[\d.]+/', $this->path, $numbers);
        [$x0, $y0, $x1, $y1, $x2, $y2, $x3, $y3] = array_map(floatval(...), $numbers[0]);
        $points = [];
        for ($i = 0; $i <= self::STRETCHES; $i++) {
            [$t, $s] = [$i / self::STRETCHES, 1.0 - $i / self::STRETCHES];
            $points[] = [
                $s ** 3 * $x0 + 3.0 * $s * $s * $t * $x1 + 3.0 * $s * $t * $t * $x2 + $t ** 3 * $x3,
                $s ** 3 * $y0 + 3.0 * $s * $s * $t * $y1 + 3.0 * $s * $t * $t * $y2 + $t ** 3 * $y3,
            ];
        }

        return $points;
    }

    /** @return list<string> where there is coolant, or trapped air, as dashes of a path of this length */
    public function filled(CellState $with, float $length = 1.0): array
    {
        $filled = [];
        foreach ($this->runs as $run) {
            if ($run->state === $with && $run->to > $run->from) {
                $filled[] = '0 '
                    .round($run->from * $length, 3)
                    .' '
                    .round(($run->to - $run->from) * $length, 3)
                    .' '
                    .round(2.0 * $length, 3);
            }
        }

        return $filled;
    }
}
