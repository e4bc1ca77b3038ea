<?php

declare(strict_types=1);

namespace Aqbel\Core\Heat;

/**
 * What successive cold top-ups say. Air that works out shrinks from one to the next, A·rⁿ; a leak takes the same each
 * time, c. Both are fitted by least squares against the reading errors, and the simpler explanation stands until it
 * fails.
 */
final readonly class TopUps
{
    /**
     * A constant part is believed when leaving it out makes the fit worse by this, in χ² (5 % of chance, one-sided).
     */
    private const LEAK_AT = 2.4;

    /** Air beside a leak is believed when leaving it out makes the fit worse by this, in χ². */
    private const AIR_AT = 3.8;

    /** Air never leaves slower than this from one cycle to the next (common practice, no source). */
    private const SLOWEST = 0.78;

    private const STEPS = 32;

    /** Top-ups are told apart from the third on. */
    private const LEAST = 3;

    /** 95 % of a reading lies within so many standard deviations. */
    private const SIGMAS = 1.96;

    public TopUpVerdict $verdict;

    /** What is still to come as air, mL, with its range. */
    public float $stillToComeMl;

    public float $lowMl;

    public float $highMl;

    public float $leakMlPerCycle;

    /**
     * @param  list<TopUp>  $topUps  in the order they were poured
     * @param  float  $settledMl  as much as that is reading error of a level
     */
    public function __construct(private array $topUps, float $settledMl)
    {
        $air = $this->best(false);
        $both = $this->best(true);
        $leakOnly = $this->leakOnly();
        $count = count($topUps);
        $leaks = $count >= self::LEAST && $air->chi2 - $both->chi2 > self::LEAK_AT;
        $alsoAir = $leaks && $leakOnly->chi2 - $both->chi2 > self::AIR_AT;
        $fit = match (true) {
            $alsoAir => $both,
            $leaks => $leakOnly,
            default => $air,
        };
        $this->leakMlPerCycle = $leaks ? $fit->leak : 0.0;
        $last = $count === 0 ? 0.0 : $topUps[$count - 1]->ml;
        $this->verdict = match (true) {
            $leaks && $this->leakMlPerCycle > $settledMl => $alsoAir ? TopUpVerdict::Both : TopUpVerdict::Leak,
            $count > 0 && $last <= $settledMl => TopUpVerdict::Settled,
            $count < self::LEAST && ! $this->shrinks() => TopUpVerdict::TooFew,
            default => TopUpVerdict::Air,
        };
        [$this->stillToComeMl, $this->lowMl, $this->highMl] = $this->toCome($fit, $count);
    }

    /** @return array{float, float, float} the rest of the series, and the range of all fits nearly as good, mL */
    private function toCome(TopUpFit $best, int $count): array
    {
        $rest = fn (TopUpFit $fit): float => $fit->air * $fit->ratio ** $count / (1.0 - $fit->ratio);
        [$low, $high] = [$rest($best), $rest($best)];
        foreach ($this->ratios() as $ratio) {
            $fit = $this->fit($ratio, $best->leak > 0.0);
            if ($fit->chi2 - $best->chi2 <= self::AIR_AT) {
                [$low, $high] = [min($low, $rest($fit)), max($high, $rest($fit))];
            }
        }
        $error = array_slice($this->topUps, -1)[0]->plusMinusMl ?? 0.0;

        return [$rest($best), max(0.0, $low - $error), $high + $error];
    }

    /** The last is well below the one before. */
    private function shrinks(): bool
    {
        [$before, $last] = [...array_slice($this->topUps, -2), null, null];

        return $before !== null && $last !== null && $last->ml < self::SLOWEST * $before->ml;
    }

    private function best(bool $withLeak): TopUpFit
    {
        $best = $this->fit(self::SLOWEST, $withLeak);
        foreach ($this->ratios() as $ratio) {
            $fit = $this->fit($ratio, $withLeak);
            $best = $fit->chi2 < $best->chi2 ? $fit : $best;
        }

        return $best;
    }

    private function leakOnly(): TopUpFit
    {
        [$weights, $sum] = [0.0, 0.0];
        foreach ($this->topUps as $topUp) {
            $weights += $this->weight($topUp);
            $sum += $this->weight($topUp) * $topUp->ml;
        }

        return $this->judged(0.0, 0.5, $weights > 0.0 ? $sum / $weights : 0.0);
    }

    /** Amounts by weighted least squares for one ratio, neither below nothing. */
    private function fit(float $ratio, bool $withLeak): TopUpFit
    {
        [$aa, $a1, $ww, $ay, $y1] = [0.0, 0.0, 0.0, 0.0, 0.0];
        foreach ($this->topUps as $n => $topUp) {
            $weight = $this->weight($topUp);
            $power = $ratio ** $n;
            $aa += $weight * $power * $power;
            $a1 += $weight * $power;
            $ww += $weight;
            $ay += $weight * $power * $topUp->ml;
            $y1 += $weight * $topUp->ml;
        }
        $determinant = $aa * $ww - $a1 * $a1;
        if ($withLeak && $determinant > 1.0e-12) {
            $air = ($ay * $ww - $y1 * $a1) / $determinant;
            $leak = ($aa * $y1 - $a1 * $ay) / $determinant;
            if ($air >= 0.0 && $leak >= 0.0) {
                return $this->judged($air, $ratio, $leak);
            }
            if ($air < 0.0) {
                return $this->judged(0.0, $ratio, max(0.0, $y1 / $ww));
            }
        }

        return $this->judged($aa > 0.0 ? max(0.0, $ay / $aa) : 0.0, $ratio, 0.0);
    }

    private function judged(float $air, float $ratio, float $leak): TopUpFit
    {
        $chi2 = 0.0;
        foreach ($this->topUps as $n => $topUp) {
            $chi2 += $this->weight($topUp) * ($topUp->ml - $air * $ratio ** $n - $leak) ** 2;
        }

        return new TopUpFit($air, $ratio, $leak, $chi2);
    }

    private function weight(TopUp $topUp): float
    {
        return (self::SIGMAS / max(1.0, $topUp->plusMinusMl)) ** 2;
    }

    /** @return list<float> */
    private function ratios(): array
    {
        return array_map(fn (int $i) => self::SLOWEST * $i / self::STEPS, range(1, self::STEPS));
    }
}
