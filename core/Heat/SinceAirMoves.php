<?php

declare(strict_types=1);

namespace Aqbel\Core\Heat;

/** Successive top-ups since the air moves, and how long each stood since the one before. */
final readonly class SinceAirMoves
{
    /**
     * A first look that took nothing, and so much less than the most, reading errors apart, was before the air began to
     * move: the thermostat had not opened, or the heater was shut (common practice, no source).
     */
    private const BEFORE_IT_MOVES = 0.5;

    /** Intervals no further apart than this tell a leak from slow air no better than equal ones. */
    private const ALIKE = 0.6;

    /** So much of the one before is well below it. */
    private const WELL_BELOW = 0.8;

    /** @var list<TopUp> */
    public array $topUps;

    /** @var list<float> since the top-up before, in intervals of usual length */
    public array $intervals;

    public int $count;

    public ?TopUp $last;

    public ?TopUp $before;

    /**
     * @param  list<TopUp>  $topUps  in the order they were poured
     * @param  float  $settledMl  as much as that is reading error of a level
     * @param  bool  $onTheRoad  whether it has been warm before the first of them, so that no air waited for it
     */
    public function __construct(array $topUps, float $settledMl, bool $onTheRoad)
    {
        $intervals = self::intervals($topUps);
        $from = $onTheRoad || self::differ($intervals) ? 0 : self::movesFrom($topUps, $settledMl);
        $this->topUps = array_slice($topUps, $from);
        $this->intervals = array_slice($intervals, $from);
        $this->count = count($this->topUps);
        $this->last = $this->topUps[$this->count - 1] ?? null;
        $this->before = $this->topUps[$this->count - 2] ?? null;
    }

    /** Whether the hours between them tell a leak from air, which keeps another clock. */
    public function tellsByHours(): bool
    {
        return self::differ($this->intervals);
    }

    /** Whether less went in the last time than the time before. */
    public function falls(): bool
    {
        return $this->last !== null && $this->before !== null && $this->last->ml < $this->before->ml;
    }

    /** The last is well below the one before. */
    public function shrinks(): bool
    {
        return $this->last !== null && $this->before !== null && $this->last->ml < self::WELL_BELOW * $this->before->ml;
    }

    /** More than the time before: air does not grow. */
    public function rises(): bool
    {
        return $this->last !== null && $this->before !== null && self::isMore($this->last, $this->before);
    }

    /** Whether it had shrunk before the last. */
    public function hadShrunk(): bool
    {
        return $this->before !== null && self::isMore($this->topUps[0], $this->before);
    }

    /** More than another, beyond what both could be misread. */
    private static function isMore(TopUp $one, TopUp $other): bool
    {
        return $one->ml - $other->ml > hypot($one->plusMinusMl, $other->plusMinusMl);
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
