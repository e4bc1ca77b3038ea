<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Heat\TopUps;
use Aqbel\Core\Heat\TopUpVerdict;
use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Observed\CameOut;
use Aqbel\Core\Observed\DrawnOff;
use Aqbel\Core\Observed\Driven;
use Aqbel\Core\Observed\LastRun;
use Aqbel\Core\Observed\LevelSeen;
use Aqbel\Core\Observed\LookedUnder;
use Aqbel\Core\Observed\ToppedUp;
use Aqbel\Core\Observed\Vented;
use Aqbel\Core\Observed\VentedWarm;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\WarmUp;

/**
 * The level read cold after a run: what it took beyond what the coolant shrank by, against the rounds before, and
 * whether the run itself showed all. Without a run before it nothing has settled.
 */
final readonly class ColdLevelRead implements Judgement
{
    /** Of a step: it brings back what came out, and no run before it is judged by it. */
    public const AFTER = 'after';

    /** Its id, before the number of the line that told it. */
    public const AFTER_OUT = 'cold_level:out:';

    /**
     * Brought to one line hot and cold, it takes at least so much of what its coolant shrank by:
     * not all of it was as hot (common practice, no source).
     */
    private const SAME_LINE = 0.5;

    /**
     * @param  float  $tookMl  in all
     * @param  Contraction  $shrank  of which so much is what the coolant shrank by
     * @param  float  $roseMl  that stood above the mark, beyond what warmth explains
     * @param  ?Gone  $gone  what the sums say has gone out again, where this level took something
     * @param  bool  $stoodHigher  whether it took less than the coolant shrank by: hot, it was brought to a higher line
     * @param  list<Observation>  $restsOn
     */
    private function __construct(
        public ColdLevelCode $code,
        public float $tookMl,
        public Contraction $shrank,
        public TopUps $series,
        public ?Unproven $unproven,
        public ?HotRun $run,
        public ?string $because,
        public float $roseMl,
        public ?Gone $gone,
        public bool $stoodHigher,
        private array $restsOn,
    ) {
    }

    /**
     * Null before anything was topped up, zero included.
     *
     * @param  ?Step  $stopped  the run before, where it ended in danger
     */
    public static function of(Situation $at, ?Step $stopped): ?self
    {
        return $at->judged(self::class, fn (): ?self => self::judge($at, $stopped));
    }

    private static function judge(Situation $at, ?Step $stopped): ?self
    {
        $topUps = $at->observed(ToppedUp::class);
        if ($topUps === []) {
            return null;
        }
        [$tookMl, $shrank] = [ToppedUp::sumMl($topUps), Contraction::at($at)];
        $series = TopUpSeries::of($at);
        $round = $at->step->params->has('round');
        $cycle = $round ? WarmedUp::before($at) : null;
        $run = $cycle === null ? null : HotRun::of($at->seenFrom($cycle));
        $unproven = match (true) {
            $stopped !== null => Unproven::Stopped,
            self::dripped($at) => Unproven::Dripped,
            ! $round => self::nothingDrove($at) ? Unproven::NotRun : null,
            $run === null => Unproven::NotRun,
            self::sawAir($at) => Unproven::AirAtTheVent,
            $run->proves() || $run->leavesItToTheLevel() => null,
            default => Unproven::Missing,
        };
        $ended = self::saidToBeTheLast($at, $tookMl);
        $settled = $series->verdict === TopUpVerdict::Settled;
        $gone = $tookMl - $shrank->ml > TopUpSeries::settledMl($at) ? Gone::beyond($at->job, $series) : null;
        $drawn = DrawnOff::sumMl($at->observed(DrawnOff::class));
        $rose = $drawn - $tookMl - Contraction::grownMl($at);
        $settledMl = TopUpSeries::settledMl($at);
        $stoodHigh = $rose > $settledMl || ($tookMl <= $settledMl && self::wasAboveAndNothingDrawn($at));
        $code = match (true) {
            $at->latest(LevelSeen::class)?->isGood($at->facts()->neck) === false => ColdLevelCode::OffMark,
            $stoodHigh => self::roseBefore($at) ? ColdLevelCode::RoseAgain : ColdLevelCode::Rose,
            $gone !== null,
            $series->verdict === TopUpVerdict::Leak || $series->verdict === TopUpVerdict::Both => ColdLevelCode::NotAir,
            $settled && $unproven === null && TopUpSeries::notBackMl($at) > 0.0 => ColdLevelCode::LessThanCameOut,
            $settled && $unproven === null && $at->step->params->has(self::AFTER) => ColdLevelCode::MadeUp,
            $settled && $unproven === null && self::isQuietEnough($at) => ColdLevelCode::Settled,
            $ended !== null && $unproven !== Unproven::Stopped && $unproven !== Unproven::Dripped => ColdLevelCode::EndedByChoice,
            $settled && $unproven === null => ColdLevelCode::QuietSoFar,
            $unproven === Unproven::NotRun => ColdLevelCode::NothingRan,
            ! $round && $stopped === null && $tookMl - $shrank->ml <= self::leftOverMl($at) => ColdLevelCode::WorkingOut,
            $settled && $unproven === Unproven::Missing && $run->proofs->isOutOfReach() => ColdLevelCode::NoRunShows,
            $settled && $unproven === Unproven::Missing && self::isSameAgain($at, $run) => ColdLevelCode::SameAgain,
            default => ColdLevelCode::AnotherCycle,
        };

        return new self(
            $code,
            $tookMl,
            $shrank,
            $series,
            $unproven,
            $run,
            $ended?->why,
            max(0.0, $rose),
            $gone,
            $shrank->ml > 0.0 && $tookMl < self::SAME_LINE * $shrank->ml - TopUpSeries::settledMl($at),
            [...$topUps, ...$at->observed(DrawnOff::class), ...$run?->restsOn() ?? []],
        );
    }

    /** That it stood above stands, also where it is said to be at its mark since, and not what became of it. */
    private static function wasAboveAndNothingDrawn(Situation $at): bool
    {
        $above = array_filter(
            $at->observed(LevelSeen::class),
            fn (LevelSeen $seen) => $seen->isAbove() && ! $seen->isGood($at->facts()->neck),
        );

        return $above !== [] && $at->observed(DrawnOff::class) === [];
    }

    private static function roseBefore(Situation $at): bool
    {
        $before = $at->job->before($at->step, $at->step->kind);
        $then = $before === null ? null : self::judge($at->seenFrom($before), null)?->code;

        return $then === ColdLevelCode::Rose || $then === ColdLevelCode::RoseAgain;
    }

    /** Whether the run before left just the same to be shown, and the level after it took nothing either. */
    private static function isSameAgain(Situation $at, HotRun $run): bool
    {
        $before = $at->job->before($at->step, $at->step->kind);
        $seen = $before === null ? null : $at->seenFrom($before);
        $cycle = $seen === null ? null : WarmedUp::before($seen);
        $prior = $cycle === null ? null : HotRun::of($at->seenFrom($cycle));
        if ($seen === null || $prior === null || $prior->danger !== null || $seen->observed(ToppedUp::class) === []) {
            return false;
        }
        $took = ToppedUp::sumMl($seen->observed(ToppedUp::class)) - Contraction::at($seen)->ml;

        return $took <= TopUpSeries::settledMl($seen)
            && $run->proofs->wereRead()
            && $prior->proofs->wereRead()
            && $prior->proofs->leaves() === $run->proofs->leaves();
    }

    /** That this run is the last is said of what it had taken then: what it takes besides is another matter. */
    private static function saidToBeTheLast(Situation $at, float $tookMl): ?LastRun
    {
        $said = $at->latest(LastRun::class);
        $then = $said === null ? [] : $at->job->upTo($said->told()->seq)->observed($at->step->id, ToppedUp::class);

        return $said !== null && $tookMl <= ToppedUp::sumMl($then) + TopUpSeries::settledMl($at) ? $said : null;
    }

    /**
     * Whether so many looks in a row took nothing as its way wants to see. Under a loose cap every run was such a
     * look, and under a funnel every run that showed all; after the drive it is the last one.
     */
    private static function isQuietEnough(Situation $at): bool
    {
        $school = Plan::of($at)->school;
        $wanted = ! $at->step->params->has('round') || $school->warmUp() === WarmUp::LooseCap ? 1 : $school->looks();
        $step = $school->warmUp()->staysWarm() ? WarmedUp::before($at) : $at->step;
        for ($quiet = 1; $quiet < $wanted; $quiet++) {
            $step = $step === null ? null : $at->job->before($step, $step->kind);
            if ($step === null || ! self::wasQuiet($at->seenFrom($step))) {
                return false;
            }
        }

        return true;
    }

    private static function wasQuiet(Situation $at): bool
    {
        return $at->step->kind === 'heat_cycle'
            ? HotRun::of($at)?->proves() === true
            : in_array(self::judge($at, null)?->code, [ColdLevelCode::Settled, ColdLevelCode::QuietSoFar], true);
    }

    /** Whether it dripped after the run before a step. */
    public static function dripped(Situation $at): bool
    {
        $cooled = $at->job->before($at->step, 'cool_down');
        $looked = $cooled === null ? [] : $at->job->observed($cooled->id, LookedUnder::class);

        return array_filter($looked, fn (LookedUnder $look) => $look->drips) !== [];
    }

    /** The step at which the level is brought back after something came out, by id. */
    public static function afterOut(CameOut $out): string
    {
        return self::AFTER_OUT.$out->told()->seq;
    }

    /** After the drive, and there was none; what came out on the way is brought back without. */
    private static function nothingDrove(Situation $at): bool
    {
        $drive = $at->job->before($at->step, 'drive');

        return $drive !== null
            && ! $at->step->params->has(self::AFTER)
            && $at->job->observed($drive->id, Driven::class) === [];
    }

    /** No more than a fill may leave is left over after the drive, mL: more than that has not worked out by itself. */
    private static function leftOverMl(Situation $at): float
    {
        return max(TopUpSeries::settledMl($at), Plan::of($at)->choices->airLimitMl($at->circuit()));
    }

    private static function sawAir(Situation $at): bool
    {
        $vented = Told::inOrder([
            ...$at->job->observedAnywhere(Vented::class),
            ...$at->job->observedAnywhere(VentedWarm::class),
        ]);
        $ran = $at->job->running()->last() ?? 0;
        $since = array_filter($vented, fn (Vented|VentedWarm $vent) => $vent->at() >= $ran);

        return (int) Told::gravest(array_values($since) ?: array_slice($vented, -1))?->gravity() > 0;
    }

    public function code(): string
    {
        return $this->code->value;
    }

    public function outcome(): Outcome
    {
        return match ($this->code) {
            ColdLevelCode::Settled, ColdLevelCode::MadeUp => Outcome::Passes,
            ColdLevelCode::NotAir, ColdLevelCode::RoseAgain => Outcome::Stops,
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
