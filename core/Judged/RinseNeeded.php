<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Mixing\Compatibility;
use Aqbel\Core\Mixing\RinseChain;
use Aqbel\Core\Observed\CoolantLook;
use Aqbel\Core\Observed\DrainRan;
use Aqbel\Core\Observed\RinseDecided;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\Plan;

/** Whether, and how often, it has to be rinsed until so little of the old coolant is left that it may stay. */
final readonly class RinseNeeded implements Judgement
{
    /** A change that leaves more than this of the old coolant is half a change (common practice, no source). */
    private const MUCH = 0.15;

    /** A circuit from which nothing came is not clean: it asks for rinses without end, and so for a drain. */
    private const HARDLY_DRAINED = 0.99;

    /** Dirt is rinsed at least once, however little of the old coolant is left. */
    private const DIRT_ASKS_FOR_LESS = 0.999;

    /** Pans and what stays inside leave the old coolant’s share open by so much (common practice, no source). */
    private const OPEN = 1.5;

    /** A rinse that leaves more of it than this is no help. */
    private const HELPS = 0.9;

    private const LEAST_TARGET = 1.0e-6;

    /**
     * @param  float  $oldShare  of the full circuit, were it filled now
     * @param  ?float  $target  share that may stay; null where any may
     * @param  float  $keeps  share of the circuit that one rinse leaves inside
     * @param  list<Observation>  $restsOn
     */
    private function __construct(
        public RinseNeededCode $code,
        public RinseChain $chain,
        public float $oldShare,
        public ?float $target,
        private float $keeps,
        private array $restsOn,
    ) {
    }

    public static function of(Situation $at): self
    {
        $ledger = $at->job->ledgerBefore(Stage::CloseUp);
        $full = $ledger->capacityMl - $ledger->headspaceMl;
        $keeps = max(0.0, $ledger->contentMl / $full);
        $dirt = OldCoolant::of($at->job)->isDirty() ? self::DIRT_ASKS_FOR_LESS * $ledger->oldShare() : 1.0;
        $target = self::target($at);
        $chain = RinseChain::from(
            $ledger->oldShare(),
            min(self::HARDLY_DRAINED, $keeps),
            $full,
            max(self::LEAST_TARGET, min($target ?? 1.0, $dirt)),
        );
        $decided = $at->latest(RinseDecided::class);
        $halfAChange
            = Plan::of($at)->choices->jobKind === JobKind::Change && $target === null && $ledger->oldShare() > self::MUCH;
        $code = match (true) {
            $chain->rinses > 0 => RinseNeededCode::Needed,
            $decided?->skips === false => RinseNeededCode::Chosen,
            $halfAChange => RinseNeededCode::MuchStays,
            default => RinseNeededCode::NotNeeded,
        };

        return new self($code, $chain, $ledger->oldShare(), $target, $keeps, [
            ...array_filter([$decided]),
            ...$at->job->observedAnywhere(CoolantLook::class),
            ...$at->job->observedAnywhere(DrainRan::class),
        ]);
    }

    /** The old coolant's share that may stay; null where any may. */
    public static function target(Situation $at): ?float
    {
        $coolant = OldCoolant::of($at->job);
        $rule = Plan::of($at)->rules()->oldShare;

        return $coolant->gels()
            ? Compatibility::AFTER_GEL
            : Plan::of($at)->choices->content->oldShareAllowed($rule) ?? ($coolant->isDirty() ? $rule : null);
    }

    /**
     * Whether more of the old coolant stays than may, by more than the sums leave open, and one rinse more would help.
     */
    public static function leavesTooMuch(Situation $at): bool
    {
        $needed = self::of($at);

        return $needed->target !== null
            && $needed->oldShare > self::OPEN * $needed->target
            && $needed->after(1) < self::HELPS * $needed->oldShare;
    }

    /**
     * What is left of the old coolant after so many rinses.
     *
     * @param  float  $mixes  how far the water mixes with what stayed inside
     */
    public function after(int $times, float $mixes = 1.0): float
    {
        return $this->oldShare * (1.0 - $mixes * (1.0 - $this->keeps)) ** $times;
    }

    public function code(): string
    {
        return $this->code->value;
    }

    public function outcome(): Outcome
    {
        return match ($this->code) {
            RinseNeededCode::NotNeeded, RinseNeededCode::Chosen => Outcome::Passes,
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
