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
        preg_match_all('/-?[\d.]+/', $this->path, $numbers);
        [$x0, $y0, $x1, $y1, $x2, $y2, $x3, $y3] = array_map(floatval(...), $numbers[0]);
        $boxes = [];
        for ($i = 1; $i < self::STRETCHES; $i++) {
            [$t, $s] = [$i / self::STRETCHES, 1.0 - $i / self::STRETCHES];
            $x = $s ** 3 * $x0 + 3.0 * $s * $s * $t * $x1 + 3.0 * $s * $t * $t * $x2 + $t ** 3 * $x3;
            $y = $s ** 3 * $y0 + 3.0 * $s * $s * $t * $y1 + 3.0 * $s * $t * $t * $y2 + $t ** 3 * $y3;
            $boxes[] = new Box($x - $this->bore / 2.0, $y - $this->bore / 2.0, $this->bore, $this->bore);
        }

        return $boxes;
    }

    /** @return list<string> where there is coolant, or trapped air, as dashes of a path of length 1 */
    public function filled(CellState $with): array
    {
        $filled = [];
        foreach ($this->runs as $run) {
            if ($run->state === $with && $run->to > $run->from) {
                $filled[] = '0 '.round($run->from, 3).' '.round($run->to - $run->from, 3).' 2';
            }
        }

        return $filled;
    }
}
