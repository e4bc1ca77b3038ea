<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\BubbleSeen;
use Aqbel\Core\Observed\PointClosed;
use Aqbel\Core\Observed\PointRuns;
use Aqbel\Core\Observed\StaysDry;
use Aqbel\Core\Plan\BleedRule;
use Aqbel\Core\Plan\Plan;

/** A bleed point while it is filled: what ran there, against what the sums say can have reached it. */
final readonly class PointBled implements Judgement
{
    private const MINUTE_S = 60;

    /** So far past the prediction a silent point is called late (common practice, no source). */
    private const LATE = 1.15;

    /** With less than this share of what should reach it, it cannot run (common practice, no source). */
    private const EARLY = 0.35;

    /**
     * @param  float  $netInMl  since the close-up
     * @param  ?int  $watchedSince  since it runs, or since the last bubble, Unix seconds
     * @param  list<Observation>  $restsOn
     */
    private function __construct(
        public PointBledCode $code,
        public float $netInMl,
        public ?float $expectedMl,
        public ?int $watchedSince,
        private array $restsOn,
    ) {
    }

    /** Null while nothing is to be said. */
    public static function of(Situation $at): ?self
    {
        [$runs, $closed, $dry] = [
            $at->latest(PointRuns::class),
            $at->latest(PointClosed::class),
            $at->latest(StaysDry::class),
        ];
        $expected = self::expectedMl($at);
        $in = FillTaken::netInMl($at);
        $byTheMinute = Plan::of($at)->rules()->closeBleed === BleedRule::BubbleFreeMinute;
        $bubble = $at->latest(BubbleSeen::class);
        $since = $runs === null ? null : max($runs->at(), $bubble?->at() ?? 0);
        $over = ! $byTheMinute || ($since !== null && $at->now >= $since + self::MINUTE_S);
        $written = $in > 0.0;
        $early = $runs !== null && $expected !== null && $written && $in < self::EARLY * $expected
            && $expected - $in > Plan::of($at)->choices->airLimitMl($at->circuit());
        $code = match (true) {
            $dry !== null && $runs === null => PointBledCode::StaysDry,
            $closed !== null && $runs === null => PointBledCode::NeverRan,
            $early => PointBledCode::RanTooEarly,
            $closed !== null => $written || $expected === null || $expected <= 0.0
                ? PointBledCode::Closed
                : PointBledCode::ClosedUnwritten,
            $runs !== null => $over ? PointBledCode::CloseIt : PointBledCode::Running,
            $expected !== null && $in > self::LATE * $expected => PointBledCode::ShouldRun,
            default => null,
        };
        $told = array_values(array_filter([$runs, $bubble, $closed, $dry]));

        return $code === null
            ? null
            : new self($code, $in, $expected, $closed === null && $byTheMinute ? $since : null, $told);
    }

    /**
     * What should have gone in by the time it runs, mL: less where more stayed inside than the plan reckoned with. Null
     * where none is predicted.
     */
    public static function expectedMl(Situation $at): ?float
    {
        $predicted = $at->step->params->number('at_ml');

        return $predicted === null ? null : max(0.0, $predicted - Plan::of($at)->stayedMoreMl($at->job));
    }

    /** By how much more than predicted was in when it ran, mL; below nought by how much less, 0 where they agree. */
    public function ranOffMl(Situation $at): float
    {
        $off = $this->expectedMl === null ? 0.0 : $this->netInMl - $this->expectedMl;
        $tells = max(
            Plan::of($at)->choices->airLimitMl($at->circuit()),
            (self::LATE - 1.0) * (float) $this->expectedMl,
        );

        return $this->code === PointBledCode::Closed && abs($off) > $tells ? $off : 0.0;
    }

    /** When its minute without a bubble is over, Unix seconds; null where no minute is watched. */
    public function until(): ?int
    {
        return $this->watchedSince === null ? null : $this->watchedSince + self::MINUTE_S;
    }

    public function code(): string
    {
        return $this->code->value;
    }

    public function outcome(): Outcome
    {
        return in_array($this->code, [PointBledCode::Closed, PointBledCode::CloseIt], true)
            ? Outcome::Passes
            : Outcome::Waits;
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
