<?php

declare(strict_types=1);

namespace Aqbel\Core\Heat;

/**
 * What successive top-ups say. Air that works out shrinks from one heat cycle to the next, A·rⁿ; a leak takes by the
 * hour, L·Δt. Nothing, air, a leak and both are weighed against the reading errors by Bayes’ rule, every amount and
 * ratio averaged out.
 */
final readonly class TopUps
{
    /** Of a hundred series so many are settled, air, a leak, and both (common practice, no source). */
    private const PRIOR = ['none' => 0.1, 'air' => 0.45, 'leak' => 0.2, 'both' => 0.25];

    /** And so many take air until a leak opens before the last look (common practice, no source). */
    private const OPENS = 0.05;

    /** So likely a leak, it is said: sooner where the hours differ, since air keeps another clock. */
    private const LEAKS = 0.65;

    private const LEAKS_BY_HOURS = 0.35;

    /** So likely a leak, nothing is called settled. */
    private const NOT_EXCLUDED = 0.45;

    /** Less than so much of what a level tells is no leak worth a name. */
    private const TELLS = 0.5;

    /** Air leaves no faster and no slower than so from one cycle to the next (common practice, no source). */
    private const FASTEST = 0.3;

    private const SLOWEST = 0.95;

    private const RATIOS = 14;

    /** Top-ups are told apart from the third on. */
    private const LEAST = 3;

    /** 95 % of a reading lies within so many standard deviations. */
    private const SIGMAS = 1.96;

    /** Fits nearly as good as the best, in χ² (5 % of chance). */
    private const AS_GOOD = 3.8;

    /** An interval so much shorter than the usual one shows nothing of a leak. */
    private const TOO_SHORT = 0.5;

    public TopUpVerdict $verdict;

    /** What is still to come as air, mL, with its range. */
    public float $stillToComeMl;

    public float $lowMl;

    public float $highMl;

    /** Over an interval of usual length. */
    public float $leakMlPerCycle;

    /** Whether less went in the last time than the time before. */
    public bool $shrinks;

    /**
     * A first look that took nothing, and so much less than the most, reading errors apart, was before the air began to
     * move: the thermostat had not opened, or the heater was shut (common practice, no source).
     */
    private const BEFORE_IT_MOVES = 0.5;

    /** @var list<TopUp> since the air moves */
    private array $topUps;

    /** Intervals no further apart than this tell a leak from slow air no better than equal ones. */
    private const ALIKE = 0.6;

    /** @var list<float> since the top-up before, in intervals of usual length */
    private array $intervals;

    /** The most that any amount can be, mL. */
    private float $most;

    /**
     * @param  list<TopUp>  $topUps  in the order they were poured
     * @param  float  $settledMl  as much as that is reading error of a level
     * @param  bool  $onTheRoad  whether it has been warm before the first of them, so that no air waited for it
     */
    public function __construct(array $topUps, float $settledMl, bool $onTheRoad = false)
    {
        $intervals = self::intervals($topUps);
        $from = $onTheRoad || self::differ($intervals) ? 0 : self::movesFrom($topUps, $settledMl);
        $this->topUps = $topUps = array_slice($topUps, $from);
        $this->intervals = array_slice($intervals, $from);
        $count = count($topUps);
        $this->shrinks = $count > 1 && $topUps[$count - 1]->ml < $topUps[$count - 2]->ml;
        $this->most = 2.0 * max([1.0, ...array_map(fn (TopUp $t) => $t->ml + $t->plusMinusMl, $topUps)]);
        $air = $this->fits(false);
        $both = $this->fits(true);
        $leak = $this->fit(null, true);
        $weights = [
            'none' => self::PRIOR['none'] * $this->fit(null, false)->evidence,
            'air' => self::PRIOR['air'] * self::mean($air),
            'leak' => self::PRIOR['leak'] * $leak->evidence,
            'both' => self::PRIOR['both'] * self::mean($both),
        ];
        $all = max(PHP_FLOAT_MIN, array_sum($weights));
        $leaks = ($weights['leak'] + $weights['both']) / $all;
        $alsoAir = $weights['both'] > $weights['leak'];
        $best = $alsoAir ? self::likeliest($both) : $leak;
        $isLeak = $count >= self::LEAST
            && $leaks > (self::differ($this->intervals) ? self::LEAKS_BY_HOURS : self::LEAKS)
            && $best->leak > self::TELLS * $settledMl
            && $this->stillLeaks($best);
        $last = $count === 0 ? 0.0 : $topUps[$count - 1]->ml;
        if ($count >= self::LEAST && $this->rises() && $this->opened($all)) {
            $until = $this->fits(false, $count - 1);
            $shrank = self::isMore($topUps[0], $topUps[$count - 2]);
            $this->verdict = $shrank ? TopUpVerdict::Both : TopUpVerdict::Leak;
            $this->leakMlPerCycle = self::opensWith(self::likeliest($until), $last, $this->intervals);
            [$this->stillToComeMl, $this->lowMl, $this->highMl] = $shrank ? $this->toCome($until) : [0.0, 0.0, 0.0];

            return;
        }
        $this->leakMlPerCycle = $isLeak ? $best->leak : 0.0;
        $this->verdict = match (true) {
            $isLeak => $alsoAir ? TopUpVerdict::Both : TopUpVerdict::Leak,
            $count > 0
                && $last <= $settledMl
                && $this->mayBeSettled(
                    $leaks > self::NOT_EXCLUDED && $best->leak > self::TELLS * $settledMl && $this->stillLeaks($best),
                    $settledMl,
                ) => TopUpVerdict::Settled,
            $count < self::LEAST && ! $this->shrinks() => TopUpVerdict::TooFew,
            default => TopUpVerdict::Air,
        };
        [$this->stillToComeMl, $this->lowMl, $this->highMl] = $isLeak && ! $alsoAir
            ? [0.0, 0.0, 0.0]
            : $this->toCome($isLeak ? $both : $air);
    }

    /** @param  list<float>  $intervals */
    private static function differ(array $intervals): bool
    {
        return $intervals !== [] && min($intervals) < self::ALIKE * max($intervals);
    }

    /**
     * From which look on air moves: air shrinks from the first look that it moved before.
     *
     * @param  list<TopUp>  $topUps
     */
    private static function movesFrom(array $topUps, float $settledMl): int
    {
        $most = max([0.0, ...array_map(fn (TopUp $one) => $one->ml - $one->plusMinusMl, $topUps)]);
        $from = 0;
        while (
            $from < count($topUps) - 1
            && $topUps[$from]->ml <= $settledMl
            && $topUps[$from]->ml + $topUps[$from]->plusMinusMl < self::BEFORE_IT_MOVES * $most
        ) {
            $from++;
        }

        return $from;
    }

    /**
     * Whether so little says that nothing more comes: not where a leak is likelier than none, and not after an interval
     * in which one would not show, when the time before took more.
     */
    private function mayBeSettled(bool $rather, float $settledMl): bool
    {
        $count = count($this->topUps);
        $before = $count < 2 ? 0.0 : $this->topUps[$count - 2]->ml;

        return ! $rather && ($before <= $settledMl || $this->intervals[$count - 1] >= self::TOO_SHORT);
    }

    /**
     * @param  list<TopUpFit>  $fits  by every ratio
     * @return array{float, float, float} the rest of the series, and the range of all fits nearly as good, mL
     */
    private function toCome(array $fits): array
    {
        $count = count($this->topUps);
        $rest = fn (TopUpFit $fit): float => $fit->air * $fit->ratio ** $count / (1.0 - $fit->ratio);
        $best = self::likeliest($fits);
        [$low, $high] = [$rest($best), $rest($best)];
        foreach ($fits as $fit) {
            if ($fit->chi2 - $best->chi2 <= self::AS_GOOD) {
                [$low, $high] = [min($low, $rest($fit)), max($high, $rest($fit))];
            }
        }
        $error = array_slice($this->topUps, -1)[0]->plusMinusMl ?? 0.0;

        return [$rest($best), max(0.0, $low - $error), $high + $error];
    }

    /** More than the time before: air does not grow. */
    private function rises(): bool
    {
        [$before, $last] = array_slice($this->topUps, -2);

        return self::isMore($last, $before);
    }

    /** More than another, beyond what both could be misread. */
    private static function isMore(TopUp $one, TopUp $other): bool
    {
        return $one->ml - $other->ml > hypot($one->plusMinusMl, $other->plusMinusMl);
    }

    /**
     * Whether the last is rather something of its own than what the others go on to.
     *
     * @param  float  $all  weight of all that says it goes on
     */
    private function opened(float $all): bool
    {
        $last = $this->topUps[count($this->topUps) - 1];
        $deviation = max(1.0, $last->plusMinusMl) / self::SIGMAS;
        $opens = self::OPENS
            * self::mean($this->fits(false, count($this->topUps) - 1))
            * Gauss::share(1.0 / $deviation ** 2, 0.0, $last->ml, $this->most);

        return $opens > self::LEAKS * ($all + $opens);
    }

    /**
     * What leaks in an interval of usual length, beyond the air that would have come.
     *
     * @param  list<float>  $intervals
     */
    private static function opensWith(TopUpFit $air, float $lastMl, array $intervals): float
    {
        $n = count($intervals) - 1;

        return max(0.0, $lastMl - $air->air * $air->ratio ** $n) / max(self::TOO_SHORT, $intervals[$n]);
    }

    /** Whether the last took what such a leak brings, or not far less than it could be misread for: a leak does not stop by itself. */
    private function stillLeaks(TopUpFit $best): bool
    {
        $n = count($this->topUps) - 1;

        return $n >= 0
            && $best->leak * $this->intervals[$n] - $this->topUps[$n]->ml <= 2.0 * $this->topUps[$n]->plusMinusMl;
    }

    /** The last is well below the one before. */
    private function shrinks(): bool
    {
        [$before, $last] = [...array_slice($this->topUps, -2), null, null];

        return $before !== null && $last !== null && $last->ml < 0.8 * $before->ml;
    }

    /** @return list<TopUpFit> by every ratio, of the first so many or of all */
    private function fits(bool $withLeak, ?int $count = null): array
    {
        $step = (self::SLOWEST - self::FASTEST) / (self::RATIOS - 1);

        return array_map(fn (int $i) => $this->fit(self::FASTEST + $step * $i, $withLeak, $count), range(0, self::RATIOS - 1));
    }

    /**
     * Amounts by weighted least squares, each from nothing to the most it can be; their
     * evidence by how well all such amounts fit, averaged out.
     */
    private function fit(?float $ratio, bool $withLeak, ?int $count = null): TopUpFit
    {
        [$aa, $al, $ll, $ay, $ly, $yy] = [0.0, 0.0, 0.0, 0.0, 0.0, 0.0];
        foreach (array_slice($this->topUps, 0, $count) as $n => $topUp) {
            $weight = (self::SIGMAS / max(1.0, $topUp->plusMinusMl)) ** 2;
            $power = $ratio === null ? 0.0 : $ratio ** $n;
            $hours = $withLeak ? $this->intervals[$n] : 0.0;
            $aa += $weight * $power * $power;
            $al += $weight * $power * $hours;
            $ll += $weight * $hours * $hours;
            $ay += $weight * $power * $topUp->ml;
            $ly += $weight * $hours * $topUp->ml;
            $yy += $weight * $topUp->ml ** 2;
        }
        $determinant = $aa * $ll - $al * $al;
        $both = $ratio !== null && $withLeak && $determinant > 1.0e-9 * $aa * $ll;
        [$air, $leak] = $both
            ? [($ay * $ll - $ly * $al) / $determinant, ($aa * $ly - $al * $ay) / $determinant]
            : [-1.0, -1.0];
        if ($air < 0.0 || $leak < 0.0) {
            // With one of the two at nothing, the other alone.
            $alone = $ratio !== null && $aa > 0.0 && ($ll <= 0.0 || $ay ** 2 / $aa >= $ly ** 2 / $ll);
            [$air, $leak] = $alone ? [$ay / $aa, 0.0] : [0.0, $ll > 0.0 ? $ly / $ll : 0.0];
        }
        $chi2 = max(
            0.0,
            $yy - 2.0 * ($air * $ay + $leak * $ly) + $air ** 2 * $aa + 2.0 * $air * $leak * $al + $leak ** 2 * $ll,
        );
        $share = match (true) {
            $both => Gauss::shareOfTwo(
                $aa,
                $al,
                $ll,
                $air,
                $leak,
                $ay - $air * $aa - $leak * $al,
                $ly - $leak * $ll - $air * $al,
                $this->most,
            ),
            $ratio !== null => Gauss::share($aa, $ay - $air * $aa, $air, $this->most),
            $withLeak => Gauss::share($ll, $ly - $leak * $ll, $leak, $this->most),
            default => 1.0,
        };

        return new TopUpFit($air, $ratio ?? self::FASTEST, $leak, exp(-0.5 * $chi2) * $share, $chi2);
    }

    /** @param  list<TopUpFit>  $fits */
    private static function mean(array $fits): float
    {
        return array_sum(array_map(fn (TopUpFit $fit) => $fit->evidence, $fits)) / max(1, count($fits));
    }

    /** @param  list<TopUpFit>  $fits */
    private static function likeliest(array $fits): TopUpFit
    {
        return array_reduce(
            $fits,
            fn (TopUpFit $best, TopUpFit $fit) => $fit->evidence > $best->evidence ? $fit : $best,
            $fits[0],
        );
    }

    /**
     * @param  list<TopUp>  $topUps
     * @return list<float> all alike where the hours are not known of each
     */
    private static function intervals(array $topUps): array
    {
        $hours = [];
        foreach ($topUps as $n => $topUp) {
            if ($topUp->atHours === null || ($n > 0 && $topUp->atHours <= ($topUps[$n - 1]->atHours ?? INF))) {
                return array_fill(0, count($topUps), 1.0);
            }
            $hours[] = $topUp->atHours;
        }
        if (count($hours) < 2) {
            return array_fill(0, count($topUps), 1.0);
        }
        $since = array_map(fn (int $n) => $hours[$n] - $hours[$n - 1], range(1, count($hours) - 1));
        $usual = array_sum($since) / count($since);
        // The first stood since the fill, where its own hour tells how long; else as long as is usual.
        $first = $hours[0] > 0.0 ? $hours[0] : $usual;

        return array_map(fn (float $interval) => $interval / $usual, [$first, ...$since]);
    }
}
