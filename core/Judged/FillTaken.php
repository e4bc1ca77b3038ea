<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Observed\ContentFound;
use Aqbel\Core\Observed\LevelReached;
use Aqbel\Core\Observed\PutBack;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\Plan;

/** A fill that stands at its mark: agreement with the prediction must hold both ways, within what the sums can tell. */
final readonly class FillTaken implements Judgement
{
    /** A ± of so many times the air that may stay tells nothing (common practice, no source). */
    private const BLUNT = 1.5;

    /** By more than this share of it no prediction is off: a number is (common practice, no source). */
    private const MUCH = 0.4;

    /** @param  float  $tellsMl  up to here agreement means something */
    private function __construct(
        public FillTakenCode $code,
        public float $netInMl,
        public float $expectedMl,
        public float $airMl,
        public float $plusMinusMl,
        public float $tellsMl,
        private LevelReached|PutBack $reached,
    ) {
    }

    /** Null before the level was seen at the mark, or the second fill point stood full and was closed. */
    public static function of(Situation $at): ?self
    {
        $reached = $at->latest(LevelReached::class) ?? $at->latest(PutBack::class);

        return $reached === null ? null : self::judge($at, $reached);
    }

    private static function judge(Situation $at, LevelReached|PutBack $reached): self
    {
        $ledger = $at->job->ledger();
        [$air, $plusMinus] = [$ledger->trappedAirMl(), $ledger->trappedAirPlusMinusMl()];
        $limit = Plan::of($at)->choices->airLimitMl($at->circuit());
        $tells = max($limit, min(self::BLUNT * $limit, $plusMinus));
        [$in, $expected] = [self::netInMl($at), self::expectedMl($at)];
        // Until somebody reads it, anything that a funnel holds may stand in it.
        $stands = InFunnel::mayStandMl($at->job);
        $code = match (true) {
            self::wasAirUnknown($at) && abs($air) <= $plusMinus => FillTakenCode::NotTold,
            $stands > 0.0 && $in >= $expected - $tells && $in - $stands <= $expected + $tells => FillTakenCode::StandsInFunnel,
            $air < -$tells || $in > $expected + max(self::BLUNT * $tells, self::MUCH * $expected) => FillTakenCode::MoreThanPredicted,
            $air <= $tells && $in > $expected + $tells => FillTakenCode::Full,
            $air <= $tells => FillTakenCode::AsPredicted,
            self::nextNeck($at) !== null => FillTakenCode::NextNeck,
            default => FillTakenCode::AirTrapped,
        };

        return new self($code, $in, $expected, $air, $plusMinus, $tells, $reached);
    }

    /** Where the rest goes in, as long as nobody has closed it; null where this is the last pour. */
    public static function nextNeck(Situation $at): ?Step
    {
        foreach ($at->job->stepsOf('fill_through') as $step) {
            if ($at->job->placeOf($step) > $at->job->placeOf($at->step) && ! isset($at->job->closed[$step->id])) {
                return $step;
            }
        }

        return null;
    }

    /**
     * It stood at its mark with air behind it, and nobody can say how
     * much: what goes in is right by no sum, and wrong by none.
     */
    private static function wasAirUnknown(Situation $at): bool
    {
        $found = $at->job->observedAnywhere(ContentFound::class);

        return Plan::of($at)->choices->jobKind === JobKind::Bleed
            && $found !== []
            && $found[count($found) - 1]->isFull();
    }

    /** What went into the circuit since the close-up, less what was caught and left over, mL. */
    public static function netInMl(Situation $at): float
    {
        return $at->job->ledger()->contentMl - $at->job->ledgerBefore(Stage::Fill)->contentMl;
    }

    /** What the fill should take from what really stayed inside: all but the air that waits for a run, mL. */
    public static function expectedMl(Situation $at): float
    {
        $plan = Plan::of($at);

        return max(
            0.0,
            $plan->predicted->usableMl - $plan->fill->waitsForARunMl() - $at->job->ledgerBefore(Stage::Fill)->contentMl,
        );
    }

    /** Whether it took what was predicted, and the air that stays was predicted too. */
    public function tookWhatItShould(): bool
    {
        return $this->netInMl >= $this->expectedMl - $this->tellsMl
            && $this->netInMl <= $this->expectedMl + $this->tellsMl;
    }

    public function code(): string
    {
        return $this->code->value;
    }

    public function outcome(): Outcome
    {
        return in_array($this->code, [FillTakenCode::AsPredicted, FillTakenCode::Full, FillTakenCode::NextNeck], true)
            ? Outcome::Passes
            : Outcome::Waits;
    }

    public function latches(): bool
    {
        return false;
    }

    public function restsOn(): array
    {
        return [$this->reached];
    }
}
