<?php

declare(strict_types=1);

namespace Aqbel\Core\Heat;

/**
 * A series of top-ups explained: air that works out shrinks from one heat cycle to the next, A·rⁿ; a leak takes by the
 * hour, L·Δt. Every amount is averaged out between nothing and the most that it can be.
 */
final readonly class TopUpFits
{
    /** Air leaves no faster and no slower than so from one cycle to the next (common practice, no source). */
    private const FASTEST = 0.3;

    private const SLOWEST = 0.95;

    private const RATIOS = 14;

    /** 95 % of a reading lies within so many standard deviations. */
    private const SIGMAS = 1.96;

    /** The most that any amount can be, mL. */
    private float $most;

    public function __construct(private SinceAirMoves $series)
    {
        $this->most = 2.0 * max([1.0, ...array_map(fn (TopUp $t) => $t->ml + $t->plusMinusMl, $series->topUps)]);
    }

    public function nothing(): TopUpFit
    {
        return $this->fit(null, false);
    }

    public function leak(): TopUpFit
    {
        return $this->fit(null, true);
    }

    /**
     * @param  ?int  $count  of the first so many; null for all
     * @return list<TopUpFit> by every ratio
     */
    public function air(?int $count = null): array
    {
        return $this->byRatio(false, $count);
    }

    /** @return list<TopUpFit> by every ratio */
    public function both(): array
    {
        return $this->byRatio(true, null);
    }

    /** How likely the last is, where it is something of its own that the others tell nothing of. */
    public function lastAlone(): float
    {
        $last = $this->series->last;
        $deviation = max(1.0, $last->plusMinusMl ?? 0.0) / self::SIGMAS;

        return $last === null ? 0.0 : Gauss::share(1.0 / $deviation ** 2, 0.0, $last->ml, $this->most);
    }

    /** @param  list<TopUpFit>  $fits */
    public static function evidence(array $fits): float
    {
        return array_sum(array_map(fn (TopUpFit $fit) => $fit->evidence, $fits)) / max(1, count($fits));
    }

    /** @param  list<TopUpFit>  $fits */
    public static function likeliest(array $fits): TopUpFit
    {
        return array_reduce(
            $fits,
            fn (TopUpFit $best, TopUpFit $fit) => $fit->evidence > $best->evidence ? $fit : $best,
            $fits[0],
        );
    }

    /** @return list<TopUpFit> */
    private function byRatio(bool $withLeak, ?int $count): array
    {
        $step = (self::SLOWEST - self::FASTEST) / (self::RATIOS - 1);

        return array_map(
            fn (int $i) => $this->fit(self::FASTEST + $step * $i, $withLeak, $count),
            range(0, self::RATIOS - 1),
        );
    }

    /**
     * Amounts by weighted least squares, each from nothing to the most it can be; their
     * evidence by how well all such amounts fit, averaged out.
     */
    private function fit(?float $ratio, bool $withLeak, ?int $count = null): TopUpFit
    {
        [$aa, $al, $ll, $ay, $ly, $yy] = [0.0, 0.0, 0.0, 0.0, 0.0, 0.0];
        foreach (array_slice($this->series->topUps, 0, $count) as $n => $topUp) {
            $weight = (self::SIGMAS / max(1.0, $topUp->plusMinusMl)) ** 2;
            $power = $ratio === null ? 0.0 : $ratio ** $n;
            $hours = $withLeak ? $this->series->intervals[$n] : 0.0;
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
}
