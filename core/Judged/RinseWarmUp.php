<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\FeltReading;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Observed\Started;

/**
 * The warm-up of a rinse on plain water: whether it went round, and its first danger. Its limit is where it is meant to
 * end, and is forgotten when it is begun again; anything else is not.
 */
final readonly class RinseWarmUp implements Judgement
{
    /** @param  list<Observation>  $restsOn */
    private function __construct(
        public ?RinseWarmUpCode $code,
        public ?RunDanger $danger,
        public bool $running,
        public bool $mixed,
        private array $restsOn,
    ) {
    }

    /** Null before there is anything to judge. */
    public static function of(Situation $at): ?self
    {
        $readings = InOrder::of($at, [HotReading::class, FeltReading::class]);
        $start = $at->latest(Started::class);
        if ($start === null) {
            return null;
        }
        $danger = RunDanger::first($at, StopLimitAtNeck::of($at, $start->neck ?? Neck::Open), onWater: true);
        if ($readings === [] && $danger === null) {
            return null;
        }
        $running = EngineRuns::at($at);
        $mixes = array_values(
            array_filter(
                [...Rise::of($at)->believed, ...$at->observed(FeltReading::class)],
                fn (Observation $reading) => self::goesRound($at, $reading),
            ),
        );
        $mixed = $mixes !== [];
        // At its limit, shut off, it is judged by whether it mixed.
        $danger = $danger?->endsARinse() === true && ! $running ? null : $danger;

        return new self(
            match (true) {
                $danger !== null => null,
                $mixed => RinseWarmUpCode::Mixed,
                default => $running ? RinseWarmUpCode::NotMixedYet : RinseWarmUpCode::NotMixed,
            },
            $danger,
            $running,
            $mixed,
            [$start, ...$mixes === [] ? $readings : $mixes, ...$danger?->restsOn() ?? []],
        );
    }

    /** Anything but its limit has a cause that is looked for. */
    public function wasStopped(): bool
    {
        return $this->danger !== null && ! $this->danger->endsARinse();
    }

    public function code(): string
    {
        return $this->danger?->code() ?? $this->code->value ?? '';
    }

    public function outcome(): Outcome
    {
        return match (true) {
            $this->danger !== null => Outcome::Stops,
            $this->code === RinseWarmUpCode::Mixed => Outcome::Passes,
            default => Outcome::Waits,
        };
    }

    public function latches(): bool
    {
        return $this->wasStopped();
    }

    public function restsOn(): array
    {
        return $this->restsOn;
    }

    private static function goesRound(Situation $at, Observation $reading): bool
    {
        return match (true) {
            $reading instanceof HotReading => Rise::ranLongEnough($at, $reading->at())
                && HotProofs::reachesTheFarSide($at->circuit(), $reading),
            $reading instanceof FeltReading => Rise::canHaveReached(
                $at,
                HotProofs::opensC($at->circuit()),
                $reading->at(),
            ) && HotProofs::feltGoingRound($at->circuit(), $reading),
            default => false,
        };
    }
}
