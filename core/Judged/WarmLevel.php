<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Heat\TopUps;
use Aqbel\Core\Heat\TopUpVerdict;
use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\Capped;
use Aqbel\Core\Observed\ShutOff;
use Aqbel\Core\Observed\StandsAtLine;
use Aqbel\Core\Observed\ToppedUp;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\WarmUp;

/** The level after a run under a resting cap, by what it took: all that went in during the run and after it. */
final readonly class WarmLevel implements Judgement
{
    /**
     * @param  float  $tookMl  during and after this run
     * @param  bool  $lookedAt  after it was shut off
     * @param  ?Gone  $gone  what the sums say has gone out again, where this run took something
     * @param  list<Observation>  $restsOn
     */
    private function __construct(
        public WarmLevelCode $code,
        public float $tookMl,
        public bool $lookedAt,
        public TopUps $series,
        public ?Gone $gone,
        private array $restsOn,
    ) {
    }

    /** Null under any other neck, and while it runs. */
    public static function of(Situation $at): ?self
    {
        $off = $at->latest(ShutOff::class);
        if (NeckAtRun::warmUp($at) !== WarmUp::LooseCap || $off === null) {
            return null;
        }
        $topUps = $at->observed(ToppedUp::class);
        $series = TopUpSeries::of($at);
        // What went in before says nothing of how it stands since it is off.
        $looked = InOrder::of($at, [ToppedUp::class, StandsAtLine::class]);
        $after = array_values(array_filter($looked, fn (Observation $told) => $told->told()->isAfter($off->told())));
        $capped = $at->observed(Capped::class) !== [];
        $took = ToppedUp::sumMl($topUps);
        $gone = $took > TopUpSeries::settledMl($at) ? Gone::beyond($at->job, $series) : null;
        $code = match (true) {
            $after === [] => $capped ? WarmLevelCode::CappedEarly : WarmLevelCode::NotLooked,
            $gone !== null,
            $series->verdict === TopUpVerdict::Leak || $series->verdict === TopUpVerdict::Both => WarmLevelCode::NotAir,
            $took <= TopUpSeries::settledMl($at) && self::isQuietEnough($at) => WarmLevelCode::Settled,
            $capped => WarmLevelCode::CappedEarly,
            default => WarmLevelCode::AnotherWarmUp,
        };

        return new self($code, $took, $after !== [], $series, $gone, [$off, ...$after]);
    }

    /** Whether so many runs in a row took nothing as its way wants to see, this one with them. */
    private static function isQuietEnough(Situation $at): bool
    {
        $step = $at->step;
        for ($quiet = 1; $quiet < Plan::of($at)->school->looks(); $quiet++) {
            $step = $at->job->before($step, $step->kind);
            $before = $step === null ? null : $at->seenFrom($step);
            if (
                $before === null
                || ToppedUp::sumMl($before->observed(ToppedUp::class)) > TopUpSeries::settledMl($before)
            ) {
                return false;
            }
        }

        return true;
    }

    public function tookNothing(Situation $at): bool
    {
        return $this->tookMl <= TopUpSeries::settledMl($at);
    }

    public function code(): string
    {
        return $this->code->value;
    }

    public function outcome(): Outcome
    {
        return match ($this->code) {
            WarmLevelCode::Settled => Outcome::Passes,
            WarmLevelCode::NotAir => Outcome::Stops,
            default => Outcome::Waits,
        };
    }

    public function latches(): bool
    {
        return false;
    }

    public function restsOn(): array
    {
        return $this->restsOn;
    }
}
