<?php

declare(strict_types=1);

namespace Aqbel\Core\Matter;

/**
 * A smooth curve through table rows that never overshoots them (F. N. Fritsch and R. E. Carlson, SIAM J. Numer. Anal.
 * 17 (1980) 238).
 */
final readonly class MonotoneCurve
{
    /** @var list<float> */
    private array $x;

    /** @var list<float> */
    private array $y;

    /** @var list<float> */
    private array $slope;

    /** @param  non-empty-array<int, float>  $rows x => y, in rising order of x */
    public function __construct(array $rows)
    {
        $this->x = array_map(floatval(...), array_keys($rows));
        $this->y = array_values($rows);
        $this->slope = $this->tangents();
    }

    public function last(): float
    {
        return $this->x[count($this->x) - 1];
    }

    /** The value at x, held at the ends of the table. */
    public function at(float $x): float
    {
        $last = count($this->x) - 1;
        if ($x <= $this->x[0] || $x >= $this->x[$last]) {
            return $x <= $this->x[0] ? $this->y[0] : $this->y[$last];
        }
        $i = 0;
        while ($this->x[$i + 1] < $x) {
            $i++;
        }
        $h = $this->x[$i + 1] - $this->x[$i];
        $t = ($x - $this->x[$i]) / $h;

        return $this->y[$i] * (1 + 2 * $t) * (1 - $t) ** 2 + $h * $this->slope[$i] * $t * (1 - $t) ** 2
            + $this->y[$i + 1] * $t ** 2 * (3 - 2 * $t) + $h * $this->slope[$i + 1] * $t ** 2 * ($t - 1);
    }

    /** Where a falling curve reaches the value y, held at the ends of the table. */
    public function whereFallingTo(float $y): float
    {
        [$low, $high] = [$this->x[0], $this->last()];
        for ($step = 0; $step < 60; $step++) {
            $middle = ($low + $high) / 2;
            $this->at($middle) > $y ? $low = $middle : $high = $middle;
        }

        return ($low + $high) / 2;
    }

    /** @return list<float> */
    private function tangents(): array
    {
        $n = count($this->x);
        $secant = [];
        for ($i = 0; $i < $n - 1; $i++) {
            $secant[] = ($this->y[$i + 1] - $this->y[$i]) / ($this->x[$i + 1] - $this->x[$i]);
        }
        $slope = [$secant[0]];
        for ($i = 1; $i < $n - 1; $i++) {
            $slope[] = $secant[$i - 1] * $secant[$i] <= 0 ? 0.0 : 2 / (1 / $secant[$i - 1] + 1 / $secant[$i]);
        }
        $slope[] = $secant[$n - 2];

        return $slope;
    }
}
