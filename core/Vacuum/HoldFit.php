<?php

declare(strict_types=1);

namespace Aqbel\Core\Vacuum;

use Aqbel\Core\Quantity\LeastSquares;

/**
 * How likely each explanation of a falling needle is: a leak (a straight line while the inflow is choked), settling
 * (a bend that stands), a moved adapter (one jump), or nothing at all. All are weighed together against the rounding
 * of the gauge, by Bayes’ rule on a grid; falls are counted in divisions of the gauge, times in the whole time held.
 */
final class HoldFit
{
    /** Somebody reads a needle to so much of a division besides rounding (common practice, no source). */
    private const READING = 0.2;

    /** A reading that nothing explains; and the newest one, which is never such a reading. */
    private const STRAY = 1.0e-4;

    private const NEVER = 1.0e-12;

    /** Explanations so much less likely than the likeliest weigh nothing. */
    private const UNHEARD_OF = 1.0e-9;

    /** A jump is looked for at its mean size, and so far beside it; of so many sizes it could have; divisions. */
    private const BESIDE = 0.3;

    private const SIZES = 11;

    /** So many readings are looked at one by one; what is more stands for its neighbours. */
    private const TOLD_APART = 40;

    /** Seconds in which hoses and damp settle (common practice, no source). */
    private const TAUS_S = [20.0, 35.0, 60.0, 100.0, 180.0];

    /** A leak of so many divisions over the time held is one. */
    public const SHOWS = 0.7;

    /** A settling of so many divisions is seen. */
    private const SEEN = 1.0;

    /**
     * Of a hundred holds so many are tight, without any settling, and with a moved adapter (common practice, no
     * source).
     */
    private const TIGHT = 0.5;

    private const UNSETTLED = 0.35;

    private const MOVED = 0.08;

    /** A needle that comes back by more than so many divisions was pumped, or misread (common practice, no source). */
    private const PUMPED = 2.0;

    private const ROUNDING = 1.0e-6;

    /** Holds of which the weighing is remembered: those of the jobs in hand. */
    private const REMEMBERED = 32;

    private const TABLE_STEPS = 50;

    private const TABLE_HALF = 3.0;

    /** @var ?list<float> of a reading so far from the truth, worked out once */
    private static ?array $chances = null;

    /** Chance of a leak, of settling, and of a moved adapter. */
    public readonly float $leak;

    public readonly float $settling;

    public readonly float $moved;

    /** The likeliest leak and settling, divisions over the whole time, and the settling’s seconds. */
    public readonly float $leakDivisions;

    /**
     * How large it is if there is one, divisions over the whole time: the line itself where nothing settles beside it,
     * else the mean of the leaks that could look like this.
     */
    public readonly float $ifOneDivisions;

    public readonly float $settlingDivisions;

    public readonly float $tauSeconds;

    /** 95 % of the leaks that could look like this are smaller, divisions over the whole time. */
    public readonly float $boundDivisions;

    /** Whether some explanation fits at all. */
    public readonly bool $explained;

    /**
     * Of these readings, weighed once however often a job is judged by them.
     *
     * @param  non-empty-list<float>  $seconds  since the first reading
     * @param  non-empty-list<float>  $falls  of the needle since the first reading, in divisions
     */
    public static function of(array $seconds, array $falls): self
    {
        /** @var array<string, self> $known */
        static $known = [];
        $readings = serialize([$seconds, $falls]);
        if (! isset($known[$readings])) {
            $known = array_slice($known, 1 - self::REMEMBERED, null, true);
            $known[$readings] = new self($seconds, $falls);
        }

        return $known[$readings];
    }

    /**
     * From which reading on it is one hold: what stood before the needle last came back shows nothing of it.
     *
     * @param  list<float>  $falls  of the needle since the first reading, in divisions
     * @param  float  $divisions  it comes back by more than this,
     * where so little is read that two divisions are nothing
     */
    public static function startsAt(array $falls, float $divisions = self::PUMPED): int
    {
        $back = max(self::PUMPED, $divisions) + self::ROUNDING;
        [$from, $most] = [0, -INF];
        foreach ($falls as $i => $fall) {
            if ($most - $fall > $back) {
                [$from, $most] = [$i, -INF];
            }
            $most = max($most, $fall);
        }

        return $from;
    }

    /**
     * @param  non-empty-list<float>  $seconds
     * @param  non-empty-list<float>  $falls
     */
    private function __construct(array $seconds, array $falls)
    {
        $span = max(1.0, $seconds[count($seconds) - 1]);
        $most = max(3.0, 1.6 * max(array_map(abs(...), $falls)));
        [$leaks, $settlings] = [self::grid(0.12, $most, 24), self::grid(0.4, $most, 11)];
        [$times, $seen, $counts] = self::alike($seconds, $falls);
        $last = count($times) - 1;
        [$total, $leak, $leaking, $settled] = [0.0, 0.0, 0.0, 0.0];
        [$best, $bestFit, $likeliest] = [0.0, 0.0, [0.0, 0.0, 60.0]];
        $byLeak = array_fill(0, count($leaks), 0.0);
        foreach (self::TAUS_S as $tau) {
            $settles = array_map(fn (float $second) => 1.0 - exp(-$second / $tau), $times);
            foreach ($settlings as $s => $settling) {
                $prior = ($s === 0 ? self::UNSETTLED : (1.0 - self::UNSETTLED) / (count($settlings) - 1));
                foreach ($leaks as $l => $divisions) {
                    // The newest reading is never the stray one: what does not come to it explains nothing.
                    if (
                        abs($seen[$last] - $settling * $settles[$last] - ($divisions * $times[$last]) / $span)
                        > self::TABLE_HALF
                    ) {
                        continue;
                    }
                    $off = [];
                    foreach ($times as $i => $second) {
                        $off[] = $seen[$i] - $settling * $settles[$i] - $divisions * $second / $span;
                    }
                    $fits = self::likelihood($off, $counts, self::UNHEARD_OF * $bestFit);
                    $bestFit = max($bestFit, $fits);
                    $chance = $fits * $prior * ($l === 0 ? self::TIGHT : (1.0 - self::TIGHT) / (count($leaks) - 1));
                    $total += $chance;
                    $leak += $divisions >= self::SHOWS ? $chance : 0.0;
                    $leaking += $divisions >= self::SHOWS ? $chance * $divisions : 0.0;
                    $settled += $settling >= self::SEEN ? $chance : 0.0;
                    $byLeak[$l] += $fits * $prior;
                    if ($chance > $best) {
                        [$best, $likeliest] = [$chance, [$divisions, $settling, $tau]];
                    }
                }
            }
        }
        $jumps = self::jumps($seen, $counts) * count(self::TAUS_S) * self::MOVED / (1.0 - self::MOVED);
        $all = $total + $jumps;
        [$this->leak, $this->settling, $this->moved] = $all > 0.0
            ? [$leak / $all, $settled / $all, $jumps / $all]
            : [0.0, 0.0, 0.0];
        $mean = $leak > 0.0 ? $leaking / $leak : 0.0;
        [$leak, $this->settlingDivisions, $this->tauSeconds] = $likeliest;
        $this->leakDivisions = $leak > 0.0 ? max(0.0, $this->line($seconds, $falls) * $span) : 0.0;
        $this->ifOneDivisions = $leak > 0.0 && $this->settlingDivisions <= 0.0 ? $this->leakDivisions : $mean;
        $this->boundDivisions = self::bound($leaks, array_values($byLeak));
        $this->explained = $all > count(self::TAUS_S) * self::STRAY ** 1.5 * 0.5 ** count($falls);
    }

    /**
     * What is left beside the likeliest settling, as a straight line; divisions a second.
     *
     * @param  non-empty-list<float>  $seconds
     * @param  non-empty-list<float>  $falls
     */
    private function line(array $seconds, array $falls): float
    {
        $settled = fn (float $second) => $this->settlingDivisions * (1.0 - exp(-$second / $this->tauSeconds));

        return LeastSquares::slope(array_map(
            fn (float $second, float $fall) => [$second, $fall - $settled($second)],
            $seconds,
            $falls,
        ));
    }

    /**
     * Nothing, then from the least to the most in equal ratios.
     *
     * @return list<float>
     */
    private static function grid(float $least, float $most, int $steps): array
    {
        $ratio = ($most / $least) ** (1.0 / ($steps - 1));

        return [0.0, ...array_map(fn (int $i) => $least * $ratio ** $i, range(0, $steps - 1))];
    }

    /**
     * Readings that follow each other and show the same, as one that was made so many times: an instrument sends
     * hundreds.
     *
     * @param  non-empty-list<float>  $seconds
     * @param  non-empty-list<float>  $falls
     * @return array{non-empty-list<float>, non-empty-list<float>, non-empty-list<int>} times, falls, and how many
     */
    private static function alike(array $seconds, array $falls): array
    {
        $each = (int) max(1, floor(count($falls) / self::TOLD_APART));
        [$times, $seen, $counts] = [[$seconds[0]], [$falls[0]], [1]];
        foreach (array_slice($falls, 1) as $i => $fall) {
            $second = $seconds[$i + 1] ?? 0.0;
            $n = count($times) - 1;
            [$time, $count] = [$times[$n], $counts[$n] ?? 1];
            if ($n > 0 && $fall === ($seen[$n] ?? null) && $count < $each) {
                $times = [...array_slice($times, 0, $n), $time + ($second - $time) / ($count + 1)];
                $counts = [...array_slice($counts, 0, $n), $count + 1];
            } else {
                [$times[], $seen[], $counts[]] = [$second, $fall, 1];
            }
        }

        return [$times, $seen, $counts];
    }

    /**
     * The chance of all readings, wherever within its division the first one stood.
     *
     * @param  list<float>  $off  what each reading shows beyond the explanation, divisions
     * @param  list<int>  $counts  how many readings each stands for
     * @param  float  $least  below which it weighs nothing
     */
    private static function likelihood(array $off, array $counts, float $least = 0.0): float
    {
        $table = self::$chances ??= self::chances();
        $last = count($off) - 1;
        $sum = 0.0;
        for ($first = -0.4; $first < 0.5; $first += 0.2) {
            $chance = 1.0;
            foreach ($off as $n => $divisions) {
                $i = (int) ((abs($divisions - $first)) * self::TABLE_STEPS);
                $one = $table[$i] ?? 0.0;
                $one = $one < self::STRAY ? ($n === $last ? self::NEVER : self::STRAY) : $one;
                $chance *= $counts[$n] === 1 ? $one : $one ** $counts[$n];
                if ($chance < $least) {
                    continue 2;
                }
            }
            $sum += $chance;
        }

        return $sum / 5.0;
    }

    /**
     * One jump between two readings, flat before and after; never at the last reading alone.
     *
     * @param  non-empty-list<float>  $falls
     * @param  non-empty-list<int>  $counts
     */
    private static function jumps(array $falls, array $counts): float
    {
        $count = count($falls);
        if (array_sum($counts) < 4) {
            return 0.0;
        }
        $sum = 0.0;
        for ($after = 1; $after < $count; $after++) {
            if ($after === $count - 1 && $counts[$after] === 1) {
                continue;
            }
            // As far as it stands apart before and after, and a little beside.
            $apart = self::mean(array_slice($falls, $after)) - self::mean(array_slice($falls, 0, $after));
            foreach ([$apart - self::BESIDE, $apart, $apart + self::BESIDE] as $size) {
                if ($size < 1.0) {
                    continue;
                }
                $off = [];
                foreach ($falls as $i => $fall) {
                    $off[] = $fall - ($i >= $after ? $size : 0.0);
                }
                $sum += self::likelihood($off, $counts) / self::SIZES;
            }
        }

        return $sum / ($count - 1);
    }

    /** @param  list<float>  $of */
    private static function mean(array $of): float
    {
        return array_sum($of) / max(1, count($of));
    }

    /**
     * The 95 % quantile, every leak taken as likely as any other beforehand.
     *
     * @param  list<float>  $leaks
     * @param  list<float>  $weights
     */
    private static function bound(array $leaks, array $weights): float
    {
        $areas = [];
        foreach ($leaks as $l => $divisions) {
            $below = $l === 0 ? 0.0 : ($leaks[$l - 1] + $divisions) / 2.0;
            $above = isset($leaks[$l + 1]) ? ($divisions + $leaks[$l + 1]) / 2.0 : 1.1 * $divisions;
            $areas[$l] = $weights[$l] * ($above - $below);
        }
        $wanted = 0.95 * array_sum($areas);
        $so = 0.0;
        foreach ($areas as $l => $area) {
            $so += $area;
            if ($so >= $wanted) {
                return isset($leaks[$l + 1]) ? ($leaks[$l] + $leaks[$l + 1]) / 2.0 : $leaks[$l];
            }
        }

        return $leaks[count($leaks) - 1];
    }

    /** @return list<float> chance of a reading that lies so far from the truth, by fiftieths of a division */
    private static function chances(): array
    {
        $table = [];
        for ($i = 0; $i <= self::TABLE_HALF * self::TABLE_STEPS; $i++) {
            $off = ($i + 0.5) / self::TABLE_STEPS;
            $chance = self::normal(($off + 0.5) / self::READING) - self::normal(($off - 0.5) / self::READING);
            $table[] = $chance;
        }

        return $table;
    }

    /** Normal distribution: Abramowitz & Stegun 7.1.26, from memory, good to 2·10⁻⁷. */
    private static function normal(float $x): float
    {
        $z = abs($x) / M_SQRT2;
        $t = 1.0 / (1.0 + 0.3275911 * $z);
        $tail = ((((1.061405429 * $t - 1.453152027) * $t + 1.421413741) * $t - 0.284496736) * $t + 0.254829592) * $t;
        $erf = 1.0 - $tail * exp(-$z * $z);

        return 0.5 * (1.0 + ($x < 0.0 ? -$erf : $erf));
    }
}
