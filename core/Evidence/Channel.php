<?php

declare(strict_types=1);

namespace Aqbel\Core\Evidence;

/** One instrument over time: points in order, irregular, with gaps, read to whatever step it shows. */
final readonly class Channel
{
    /**
     * @param  list<float>  $t  seconds, in order, none twice
     * @param  list<float>  $v
     */
    private function __construct(public array $t, public array $v)
    {
    }

    /**
     * @param  list<array{float, float}>  $points  seconds and value, in any order; of two at one time the later counts
     * @param  float  $least  what is less, or more than the most, no instrument reads: it is no evidence
     */
    public static function of(array $points, float $least, float $most): self
    {
        [$times, $values, $last, $inOrder] = [[], [], -INF, true];
        foreach ($points as [$t, $v]) {
            if (is_finite($v) && $v >= $least && $v <= $most) {
                $inOrder = $inOrder && $t > $last;
                $times[] = $last = $t;
                $values[] = $v;
            }
        }

        return $inOrder ? new self($times, $values) : self::ordered($times, $values);
    }

    /**
     * @param  list<float>  $times
     * @param  list<float>  $values
     */
    private static function ordered(array $times, array $values): self
    {
        $at = [];
        foreach ($times as $i => $t) {
            $at[(string) $t] = [$t, $values[$i]];
        }
        usort($at, fn (array $a, array $b) => $a[0] <=> $b[0]);

        return new self(array_column($at, 0), array_column($at, 1));
    }

    public function isEmpty(): bool
    {
        return $this->t === [];
    }

    public function last(): float
    {
        return $this->t === [] ? 0.0 : $this->t[count($this->t) - 1];
    }

    /** Without single points that stand apart from both beside them, where these agree. */
    public function withoutStrays(float $apart): self
    {
        [$times, $values] = [[], []];
        $n = count($this->t);
        for ($i = 0; $i < $n; $i++) {
            $stray = $i > 0
                && $i < $n - 1
                && abs($this->v[$i] - $this->v[$i - 1]) > $apart
                && abs($this->v[$i] - $this->v[$i + 1]) > $apart
                && abs($this->v[$i - 1] - $this->v[$i + 1]) < $apart / 2.0;
            if (! $stray) {
                $times[] = $this->t[$i];
                $values[] = $this->v[$i];
            }
        }

        return new self($times, $values);
    }

    /** The newest value not older than so much; null where there is none. */
    public function at(float $t, float $old = 20.0): ?float
    {
        $i = $this->before($t);

        return $i === null || $t - $this->t[$i] > $old ? null : $this->v[$i];
    }

    /**
     * The same at each of several moments, in order.
     *
     * @param  list<float>  $moments
     * @return list<?float>
     */
    public function atEach(array $moments, float $old): array
    {
        [$values, $i, $n] = [[], -1, count($this->t)];
        foreach ($moments as $t) {
            while ($i + 1 < $n && $this->t[$i + 1] <= $t) {
                $i++;
            }
            $values[] = $i < 0 || $t - $this->t[$i] > $old ? null : $this->v[$i];
        }

        return $values;
    }

    /** The mean over a stretch that ends there; null where nothing was read in it. */
    public function mean(float $fromS, float $toS): ?float
    {
        [$sum, $count] = [0.0, 0];
        for ($i = $this->before($toS); $i !== null && $i >= 0 && $this->t[$i] >= $fromS; $i--) {
            $sum += $this->v[$i];
            $count++;
        }

        return $count === 0 ? null : $sum / $count;
    }

    /** Per second, by least squares over a stretch; null where it has fewer than three points or is too short. */
    public function slope(float $fromS, float $toS): ?float
    {
        [$n, $st, $sv, $stt, $stv] = [0, 0.0, 0.0, 0.0, 0.0];
        $first = $toS;
        for ($i = $this->before($toS); $i !== null && $i >= 0 && $this->t[$i] >= $fromS; $i--) {
            [$t, $v] = [$this->t[$i] - $toS, $this->v[$i]];
            $n++;
            $st += $t;
            $sv += $v;
            $stt += $t * $t;
            $stv += $t * $v;
            $first = $this->t[$i];
        }
        $spread = $n * $stt - $st * $st;

        return $n < 3 || $toS - $first < 0.5 * ($toS - $fromS) || $spread <= 0.0
            ? null
            : ($n * $stv - $st * $sv) / $spread;
    }

    /** Smoothed by the mean over a stretch around each point. */
    public function smoothed(float $halfS): self
    {
        [$values, $n] = [[], count($this->t)];
        [$low, $high] = [0, 0];
        for ($i = 0; $i < $n; $i++) {
            while ($this->t[$low] < $this->t[$i] - $halfS) {
                $low++;
            }
            while ($high < $n && $this->t[$high] <= $this->t[$i] + $halfS) {
                $high++;
            }
            $around = array_slice($this->v, $low, $high - $low);
            $values[] = array_sum($around) / count($around);
        }

        return new self($this->t, $values);
    }

    /**
     * For each point the lowest of the stretch that ends there, as its index; of several the newest.
     *
     * @return list<int>
     */
    public function lowest(float $stretchS): array
    {
        // Those that may still be the lowest: ever newer, ever higher.
        [$lowest, $may, $first] = [[], [], 0];
        foreach ($this->v as $i => $v) {
            while (count($may) > $first && $this->v[$may[count($may) - 1]] >= $v) {
                array_pop($may);
            }
            $may[] = $i;
            while ($stretchS < $this->t[$i] - $this->t[$may[$first]]) {
                $first++;
            }
            $lowest[] = $may[$first];
        }

        return $lowest;
    }

    /** Index of the newest point at or before a time. */
    private function before(float $t): ?int
    {
        [$low, $high] = [0, count($this->t) - 1];
        if ($high < 0 || $this->t[0] > $t) {
            return null;
        }
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            $this->t[$middle] <= $t ? $low = $middle : $high = $middle - 1;
        }

        return $low;
    }
}
