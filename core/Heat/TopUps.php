<?php

declare(strict_types=1);

namespace Aqbel\Core\Heat;

/**
 * What successive top-ups say. Nothing, air, a leak and both are weighed against the reading errors by Bayes’ rule, every
 * amount and ratio averaged out.
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

    /** Top-ups are told apart from the third on. */
    private const LEAST = 3;

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

    /** How many of them tell something. */
    public int $count;

    private SinceAirMoves $series;

    /**
     * @param  list<TopUp>  $topUps  in the order they were poured
     * @param  float  $settledMl  as much as that is reading error of a level
     * @param  bool  $onTheRoad  whether it has been warm before the first of them, so that no air waited for it
     */
    public function __construct(array $topUps, float $settledMl, bool $onTheRoad = false)
    {
        $this->series = $series = new SinceAirMoves($topUps, $settledMl, $onTheRoad);
        $this->shrinks = $series->falls();
        $this->count = $series->count;
        $fits = new TopUpFits($series);
        [$air, $both, $leak] = [$fits->air(), $fits->both(), $fits->leak()];
        $weights = [
            'none' => self::PRIOR['none'] * $fits->nothing()->evidence,
            'air' => self::PRIOR['air'] * TopUpFits::evidence($air),
            'leak' => self::PRIOR['leak'] * $leak->evidence,
            'both' => self::PRIOR['both'] * TopUpFits::evidence($both),
        ];
        $all = max(PHP_FLOAT_MIN, array_sum($weights));
        $until = $series->count >= self::LEAST && $series->rises() ? $fits->air($series->count - 1) : [];
        $opens = self::OPENS * TopUpFits::evidence($until) * $fits->lastAlone();
        if ($opens > self::LEAKS * ($all + $opens)) {
            // Rather something of its own than what the others go on to.
            $this->verdict = $series->hadShrunk() ? TopUpVerdict::Both : TopUpVerdict::Leak;
            $this->leakMlPerCycle = $this->beyond(TopUpFits::likeliest($until));
            [$this->stillToComeMl, $this->lowMl, $this->highMl]
                = $series->hadShrunk() ? $this->toCome($until) : [0.0, 0.0, 0.0];

            return;
        }
        $leaks = ($weights['leak'] + $weights['both']) / $all;
        $alsoAir = $weights['both'] > $weights['leak'];
        $best = $alsoAir ? TopUpFits::likeliest($both) : $leak;
        $mayLeak = $best->leak > self::TELLS * $settledMl && $this->stillLeaks($best);
        $isLeak = $mayLeak
            && $series->count >= self::LEAST
            && $leaks > ($series->tellsByHours() ? self::LEAKS_BY_HOURS : self::LEAKS);
        $this->leakMlPerCycle = $isLeak ? $best->leak : 0.0;
        $this->verdict = match (true) {
            $isLeak => $alsoAir ? TopUpVerdict::Both : TopUpVerdict::Leak,
            $this->isSettled($mayLeak && $leaks > self::NOT_EXCLUDED, $settledMl) => TopUpVerdict::Settled,
            $series->count < self::LEAST && ! $series->shrinks() => TopUpVerdict::TooFew,
            default => TopUpVerdict::Air,
        };
        [$this->stillToComeMl, $this->lowMl, $this->highMl] = $isLeak && ! $alsoAir
            ? [0.0, 0.0, 0.0]
            : $this->toCome($isLeak ? $both : $air);
    }

    /**
     * Whether so little says that nothing more comes: not where a leak is likelier than none, and not after an interval
     * in which one would not show, when the time before took more.
     */
    private function isSettled(bool $ratherLeaks, float $settledMl): bool
    {
        [$last, $before] = [$this->series->last, $this->series->before];

        return $last !== null
            && $last->ml <= $settledMl
            && ! $ratherLeaks
            && (($before->ml ?? 0.0) <= $settledMl || $this->lastInterval() >= self::TOO_SHORT);
    }

    /**
     * @param  list<TopUpFit>  $fits  by every ratio
     * @return array{float, float, float} the rest of the series, and the range of all fits nearly as good, mL
     */
    private function toCome(array $fits): array
    {
        $rest = fn (TopUpFit $fit): float => $fit->air * $fit->ratio ** $this->series->count / (1.0 - $fit->ratio);
        $best = TopUpFits::likeliest($fits);
        [$low, $high] = [$rest($best), $rest($best)];
        foreach ($fits as $fit) {
            if ($fit->chi2 - $best->chi2 <= self::AS_GOOD) {
                [$low, $high] = [min($low, $rest($fit)), max($high, $rest($fit))];
            }
        }
        $error = $this->series->last->plusMinusMl ?? 0.0;

        return [$rest($best), max(0.0, $low - $error), $high + $error];
    }

    /** What leaks in an interval of usual length, beyond the air that would have come. */
    private function beyond(TopUpFit $air): float
    {
        $would = $air->air * $air->ratio ** ($this->series->count - 1);

        return max(0.0, ($this->series->last->ml ?? 0.0) - $would) / max(self::TOO_SHORT, $this->lastInterval());
    }

    /** Whether the last took what such a leak brings, give or take what it could be misread for: a leak does not stop. */
    private function stillLeaks(TopUpFit $best): bool
    {
        $last = $this->series->last;

        return $last !== null && $best->leak * $this->lastInterval() - $last->ml <= 2.0 * $last->plusMinusMl;
    }

    private function lastInterval(): float
    {
        return $this->series->intervals[$this->series->count - 1] ?? 0.0;
    }
}
