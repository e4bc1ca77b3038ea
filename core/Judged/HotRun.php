<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\FeltReading;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Observed\Started;

/**
 * A hot run, from readings by thermometer or by hand: its first danger, the level under a resting cap, and what
 * thermostat, heater, fan and bubbles have shown. Without a start there is none.
 */
final readonly class HotRun implements Judgement
{
    /** @param  list<Observation>  $restsOn */
    private function __construct(
        private string $code,
        private Outcome $outcome,
        private array $restsOn,
        public bool $running,
        public HotProofs $proofs,
        public HeaterWatch $heater,
        public ?RunDanger $danger = null,
        public ?WarmLevel $level = null,
    ) {
    }

    /** Null before there is anything to judge. */
    public static function of(Situation $at): ?self
    {
        $start = $at->latest(Started::class);
        if ($start === null) {
            return null;
        }

        return $at->judged(self::class, fn (): ?self => self::judge($at, $start));
    }

    private static function judge(Situation $at, Started $start): ?self
    {
        $limit = StopLimitAtNeck::of($at, NeckAtRun::orLikely($at));
        $danger = RunDanger::first($at, $limit);
        $proofs = HotProofs::of($at, $limit);
        $heater = HeaterWatch::of($at, $limit);
        $running = EngineRuns::at($at);
        if ($danger !== null) {
            return new self(
                $danger->code(),
                Outcome::Stops,
                [$start, ...$danger->restsOn()],
                $running,
                $proofs,
                $heater,
                $danger,
            );
        }
        if (! $proofs->hasBegun() && InOrder::of($at, [HotReading::class, FeltReading::class]) === []) {
            return null;
        }
        $level = WarmLevel::of($at);
        if ($level !== null && $level->code !== WarmLevelCode::Settled) {
            return new self(
                $level->code(),
                $level->outcome(),
                [$start, ...$level->restsOn()],
                $running,
                $proofs,
                $heater,
                level: $level,
            );
        }
        $code = match (true) {
            $heater->goesOn() => HotRunCode::HeaterWatch,
            $proofs->missing === [] => HotRunCode::Proven,
            $running => HotRunCode::NotProven,
            default => HotRunCode::AnotherCycle,
        };

        return new self(
            $code->value,
            $code === HotRunCode::Proven ? Outcome::Passes : Outcome::Waits,
            [$start, ...$proofs->restsOn, ...$level?->restsOn() ?? []],
            $running,
            $proofs,
            $heater,
            level: $level,
        );
    }

    /** Whether it showed everything the vehicle can show. */
    public function proves(): bool
    {
        return $this->outcome === Outcome::Passes;
    }

    /** Whether it showed everything but a level that stands: then the look at it cold tells. */
    public function leavesItToTheLevel(): bool
    {
        // What went in after it was off has not gone round yet, where the cap was tightened on it.
        $untold = $this->level?->code === WarmLevelCode::CappedEarly && ! $this->level->lookedAt;

        return ($untold || $this->level?->code === WarmLevelCode::AnotherWarmUp) && $this->proofs->missing === [];
    }

    public function code(): string
    {
        return $this->code;
    }

    public function outcome(): Outcome
    {
        return $this->outcome;
    }

    public function latches(): bool
    {
        return $this->danger !== null;
    }

    public function restsOn(): array
    {
        return $this->restsOn;
    }
}
