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
    private const TOLD_APART = 24;

    /** However many there are, they tell as much as so many that are independent (by simulation). */
    private const TELL = 12;

    /** Divisions of the smallest leak and settling that are tried; how many leaks in equal ratios. */
    private const LEAST_LEAK = 0.12;

    private const LEAST_SETTLING = 0.4;

    private const LEAKS = 24;

    /** Around what comes nearest it is tried in steps of so many divisions, so many to either side. */
    private const FINE = 0.4;

    private const BESIDE_IT = 3;

    /** Seconds in which hoses and damp settle (common practice, no source). */
    private const TAUS_S = [20.0, 35.0, 60.0, 100.0, 180.0];

    /** What bends by more divisions than this shows its time finer. */
    private const BENDS_FAR = 6.0;

    private const FINER_TAUS_S = [20.0, 25.0, 31.0, 39.0, 49.0, 61.0, 76.0, 95.0, 118.0, 147.0, 180.0];

    /**
     * What leaves so much more unexplained than the nearest weighs nothing; squared divisions. Of few readings one may
     * be stray, by some divisions; of hundreds a median has none.
     */
    private const FAR_OFF = 5.0;

    private const FAR_OFF_OF_FEW = 25.0;

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
     * @param  float  $settlesAtMost  divisions
     */
    public static function of(array $seconds, array $falls, float $settlesAtMost = INF): self
    {
        /** @var array<string, self> $known */
        static $known = [];
        $readings = serialize([$seconds, $falls, $settlesAtMost]);
        if (! isset($known[$readings])) {
            $known = array_slice($known, 1 - self::REMEMBERED, null, true);
            $known[$readings] = new self($seconds, $falls, $settlesAtMost);
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
    private function __construct(array $seconds, array $falls, float $settlesAtMost)
    {
        $span = max(1.0, $seconds[count($seconds) - 1]);
        $most = max(3.0, 1.6 * max(array_map(abs(...), $falls)));
        [$times, $seen, $counts] = self::alike($seconds, $falls);
        $last = count($times) - 1;
        [$total, $leak, $leaking, $settled] = [0.0, 0.0, 0.0, 0.0];
        [$best, $bestFit, $likeliest, $byLeak] = [0.0, 0.0, [0.0, 0.0, 60.0], []];
        $shares = array_map(fn (float $second): float => $second / $span, $times);
        $far = $counts[0] < 1.0 ? self::FAR_OFF : self::FAR_OFF_OF_FEW;
        $taus = max($falls) > self::BENDS_FAR ? self::FINER_TAUS_S : self::TAUS_S;
        $ways = array_map(
            fn (float $tau) => new LineAndBend($times, $shares, $seen, $counts, $tau, $settlesAtMost),
            $taus,
        );
        $least = min(array_map(fn (LineAndBend $way): float => $way->nearest($most)[1], $ways));
        foreach ($ways as $way) {
            foreach (self::leaks($way->nearest($most)[0], $most) as [$divisions, $prior, $wide]) {
                $byLeak["{$divisions}"] ??= [$divisions, 0.0];
                $left = null;
                foreach (self::settlings($way->bend($divisions), $most) as [$settling, $priorOfIt]) {
                    if ($way->leaves($divisions, $settling) > $least + $far) {
                        continue;
                    }
                    $left ??= array_map(fn (float $fall, float $share) => $fall - $divisions * $share, $seen, $shares);
                    // The newest reading is never the stray one: what does not come to it explains nothing.
                    if (abs($left[$last] - $settling * $way->bends[$last]) > self::TABLE_HALF) {
                        continue;
                    }
                    $off = array_map(fn (float $one, float $bend) => $one - $settling * $bend, $left, $way->bends);
                    $fits = self::likelihood($off, $counts, self::UNHEARD_OF * $bestFit);
                    $bestFit = max($bestFit, $fits);
                    $chance = $fits * $priorOfIt * $prior;
                    $total += $chance;
                    $leak += $divisions >= self::SHOWS ? $chance : 0.0;
                    $leaking += $divisions >= self::SHOWS ? $chance * $divisions : 0.0;
                    $settled += $settling >= self::SEEN ? $chance : 0.0;
                    $byLeak["{$divisions}"][1] += $fits * $priorOfIt * $wide;
                    if ($chance > $best) {
                        [$best, $likeliest] = [$chance, [$divisions, $settling, $way->tau]];
                    }
                }
            }
        }
        $jumps = self::jumps($seen, $counts, count($falls)) * count($taus) * self::MOVED / (1.0 - self::MOVED);
        $all = $total + $jumps;
        [$this->leak, $this->settling, $this->moved] = $all > 0.0
            ? [$leak / $all, $settled / $all, $jumps / $all]
            : [0.0, 0.0, 0.0];
        $mean = $leak > 0.0 ? $leaking / $leak : 0.0;
        [$leak, $this->settlingDivisions, $this->tauSeconds] = $likeliest;
        $this->leakDivisions = $leak > 0.0 ? max(0.0, $this->line($seconds, $falls) * $span) : 0.0;
        $isLine = $leak > 0.0 && $this->settlingDivisions <= 0.0 && count($falls) > 2;
        $this->ifOneDivisions = $isLine ? $this->leakDivisions : $mean;
        $this->boundDivisions = self::bound(array_values($byLeak));
        // Of three readings none is stray.
        $strays = count($falls) > 3 ? 1.5 : 1.0;
        $this->explained = $all > count($taus) * self::STRAY ** $strays * 0.5 ** min(self::TELL, count($falls));
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
     * Leaks that are tried, divisions over the whole time: none, some in equal ratios, and more of them where one comes
     * nearest to what was seen. Each with its chance beforehand, and how many divisions it stands for.
     *
     * @return list<array{float, float, float}>
     */
    private static function leaks(float $nearest, float $most): array
    {
        $tried = self::grid(self::LEAST_LEAK, $most, self::LEAKS);
        for ($i = -self::BESIDE_IT; $i <= self::BESIDE_IT; $i++) {
            $tried[] = round($nearest + $i * self::FINE, 4);
        }
        $tried = array_values(array_unique(array_filter($tried, fn (float $one) => $one >= self::LEAST_LEAK)));
        sort($tried);
        $all = log(1.1 * $most / self::LEAST_LEAK * 2.0);
        $leaks = [[0.0, self::TIGHT, $tried[0] / 2.0]];
        foreach ($tried as $i => $divisions) {
            $below = $i === 0 ? $divisions / 2.0 : ($tried[$i - 1] + $divisions) / 2.0;
            $above = isset($tried[$i + 1]) ? ($divisions + $tried[$i + 1]) / 2.0 : 1.1 * $divisions;
            $leaks[] = [$divisions, (1.0 - self::TIGHT) * log($above / $below) / $all, $above - $below];
        }

        return $leaks;
    }

    /**
     * Settlings that are tried beside a leak, divisions: none, and those near the one that explains most of what the
     * leak leaves; each with its chance beforehand.
     *
     * @return list<array{float, float}>
     */
    private static function settlings(float $likely, float $most): array
    {
        $tried = [[0.0, self::UNSETTLED]];
        for ($i = -self::BESIDE_IT; $i <= self::BESIDE_IT; $i++) {
            $settling = $likely + $i * self::FINE;
            if ($settling >= self::LEAST_SETTLING && $settling <= $most) {
                $chance = self::FINE / ($settling * log($most / self::LEAST_SETTLING));
                $tried[] = [$settling, (1.0 - self::UNSETTLED) * min(1.0, $chance)];
            }
        }

        return $tried;
    }

    /**
     * From the least to the most in equal ratios.
     *
     * @return list<float>
     */
    private static function grid(float $least, float $most, int $steps): array
    {
        $ratio = ($most / $least) ** (1.0 / ($steps - 1));

        return array_map(fn (int $i) => $least * $ratio ** $i, range(0, $steps - 1));
    }

    /**
     * As it is weighed: an instrument sends hundreds, and those next to each other stand as their median. A gauge rounds
     * them alike, so that together they tell no more than so many.
     *
     * @param  non-empty-list<float>  $seconds
     * @param  non-empty-list<float>  $falls
     * @return array{non-empty-list<float>, non-empty-list<float>, non-empty-list<float>} times, falls, and for how many
     * readings it stands
     */
    private static function alike(array $seconds, array $falls): array
    {
        $count = count($falls);
        $weighs = min(1.0, self::TELL / $count);
        $each = (int) ceil($count / self::TOLD_APART);
        [$times, $seen, $counts] = [[$seconds[0]], [$falls[0]], [$weighs]];
        // The first and the newest stand for themselves.
        for ($from = 1; $from < $count; $from += $many) {
            $many = $from < $count - 1 ? min($each, $count - 1 - $from) : 1;
            $some = array_slice($falls, $from, $many);
            sort($some);
            $times[] = array_sum(array_slice($seconds, $from, $many)) / $many;
            $seen[] = ($some[intdiv($many - 1, 2)] + $some[intdiv($many, 2)]) / 2.0;
            $counts[] = $many * $weighs;
        }

        return [$times, $seen, $counts];
    }

    /**
     * The chance of all readings, wherever within its division the first one stood.
     *
     * @param  list<float>  $off  what each reading shows beyond the explanation, divisions
     * @param  list<float>  $counts  how many readings each stands for
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
                $chance *= $counts[$n] === 1.0 ? $one : $one ** $counts[$n];
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
     * @param  non-empty-list<float>  $counts
     */
    private static function jumps(array $falls, array $counts, int $readings): float
    {
        $count = count($falls);
        if ($readings < 4) {
            return 0.0;
        }
        $sum = 0.0;
        for ($after = 1; $after < $count; $after++) {
            if ($after === $count - 1 && $counts[$after] <= min(1.0, self::TELL / $readings)) {
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
     * @param  list<array{float, float}>  $byLeak  divisions, and the weight of what it stands for
     */
    private static function bound(array $byLeak): float
    {
        usort($byLeak, fn (array $one, array $other) => $one[0] <=> $other[0]);
        $wanted = 0.95 * array_sum(array_column($byLeak, 1));
        $so = 0.0;
        foreach ($byLeak as $l => [$divisions, $weight]) {
            $so += $weight;
            if ($wanted > 0.0 && $so >= $wanted) {
                return isset($byLeak[$l + 1]) ? ($divisions + $byLeak[$l + 1][0]) / 2.0 : 1.1 * $divisions;
            }
        }

        return $byLeak === [] ? 0.0 : $byLeak[count($byLeak) - 1][0];
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
