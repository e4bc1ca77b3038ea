<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Circuit\Facts;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\FanStaysOff;
use Aqbel\Core\Observed\FanTurned;
use Aqbel\Core\Observed\FeltReading;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Observed\ShutOff;

/** How often the fan came on and went off in a run, counted only where coolant and clock make it possible. */
final readonly class FanSeen
{
    /** The fan is not heard below fan-on less this: sensors differ (common practice, no source). */
    private const SENSOR_OFF_C = 5.0;

    /** A fan that cools a hot radiator runs at least so long, s (common practice, no source). */
    private const LEAST_RUN_S = 20;

    /** Whole runs below fan-on without it: it does not come here. */
    private const RUNS_WITHOUT = 2;

    /**
     * @param  int  $timed  times, by presses of its own
     * @param  int  $heard  times, as it was heard
     * @param  bool  $on  whether it runs now
     * @param  ?float  $hottestC  the coolant was read in this run
     */
    private function __construct(public int $timed, public int $heard, public bool $on, public ?float $hottestC)
    {
    }

    public static function of(Situation $at): self
    {
        return $at->judged(self::class, fn (): self => self::work($at));
    }

    private static function work(Situation $at): self
    {
        [$timed, $heard, $since, $on, $hottest] = [0, 0, null, false, null];
        foreach (InOrder::of($at, [HotReading::class, FeltReading::class, FanTurned::class]) as $one) {
            if ($one instanceof FanTurned) {
                $ran = ! $one->on && $since !== null && $one->at() - $since >= self::LEAST_RUN_S;
                $counts = $ran && self::isHot($at->facts(), $hottest);
                $timed += $counts ? 1 : 0;
                $since = match (true) {
                    $one->on => $one->at(),
                    $counts => null,
                    default => $since,
                };
                $on = $one->on;

                continue;
            }
            $hottest = $one instanceof HotReading ? max($hottest ?? $one->coolantC, $one->coolantC) : $hottest;
            if ($one instanceof HotReading && self::isHot($at->facts(), $hottest)) {
                $heard = max($heard, $one->besides->fanHeard);
            }
            if ($one instanceof FeltReading && $one->isWarmedUp()) {
                $heard = max($heard, $one->besides->fanHeard);
            }
        }

        return new self($timed, $heard, $on, $hottest);
    }

    public function times(): int
    {
        return max($this->timed, $this->heard);
    }

    /** Whether it rests on what was heard, which is less than presses of its own. */
    public function wasOnlyHeard(): bool
    {
        return $this->heard > $this->timed;
    }

    /**
     * Whether the fan cannot be the proof here: somebody says so, or two whole runs stayed below fan-on without it.
     */
    public static function cannotCome(Situation $at): bool
    {
        $fanOn = $at->facts()->fanOnC;
        if ($fanOn === null || $at->observed(FanStaysOff::class) !== []) {
            return true;
        }
        $without = 0;
        foreach ($at->job->stepsOf($at->step->kind) as $step) {
            $run = $at->seenFrom($step);
            $seen = self::of($run);
            $whole = $run->observed(ShutOff::class) !== [];
            $without += $whole && $seen->hottestC !== null && $seen->hottestC < $fanOn && $seen->times() === 0 ? 1 : 0;
            if ($step->id === $at->step->id) {
                break;
            }
        }

        return $without >= self::RUNS_WITHOUT;
    }

    /** Hot enough for the fan to come; where its temperature is not known, nothing speaks against it. */
    private static function isHot(Facts $facts, ?float $hottestC): bool
    {
        return $facts->fanOnC === null || ($hottestC !== null && $hottestC >= $facts->fanOnC - self::SENSOR_OFF_C);
    }
}
