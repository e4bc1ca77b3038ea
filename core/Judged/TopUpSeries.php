<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Heat\TopUp;
use Aqbel\Core\Heat\TopUps;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Observed\CameOut;
use Aqbel\Core\Observed\ToppedUp;
use Aqbel\Core\Plan\Plan;

/**
 * What one round after the other took, read against what a vessel and a mark can tell: shrinking air, a leak, or
 * nothing more. What the coolant itself shrank by since it was last brought to its mark is no air.
 */
final class TopUpSeries
{
    /** A level that took no more than so many reading errors of the vessel has settled (common practice, no source). */
    private const VESSEL_ERRORS = 2.0;

    private const HOUR_S = 3600.0;

    /** Of the steps of this kind up to this one. */
    public static function of(Situation $at): TopUps
    {
        return new TopUps(self::each($at), self::settledMl($at));
    }

    /** @return list<TopUp> of this and those before it */
    public static function each(Situation $at): array
    {
        [$series, $before, $began] = [[], null, null];
        $mended = self::mended($at);
        foreach ($at->job->stepsOf($at->step->kind) as $step) {
            $seen = $at->seenFrom($step);
            $topUps = $seen->observed(ToppedUp::class);
            if ($topUps !== [] && $at->job->placeOf($step) < $mended) {
                $before = $step->id;
            } elseif ($topUps !== []) {
                $squares = array_map(fn (ToppedUp $topUp) => $topUp->read->toldWithinMl($at) ** 2, $topUps);
                $squares[] = Level::plusMinusMl($at->circuit()) ** 2;
                // What came out another way meanwhile is made up for, and was no air.
                [$out, $plusMinus] = self::cameOutBetween($at, $before, $step->id);
                $shrank = Contraction::at($seen);
                $squares[] = $plusMinus ** 2;
                $squares[] = $shrank->plusMinusMl ** 2;
                $last = $topUps[count($topUps) - 1]->at();
                $began ??= $last;
                $series[] = new TopUp(
                    max(0.0, ToppedUp::sumMl($topUps) - $out - $shrank->ml),
                    sqrt(array_sum($squares)),
                    ($last - $began) / self::HOUR_S,
                );
                $before = $step->id;
            }
            if ($step->id === $at->step->id) {
                break;
            }
        }

        return $series;
    }

    /** The place of the last leak put right before this step: what went before it says nothing of what comes. */
    private static function mended(Situation $at): int
    {
        $last = -1;
        foreach ($at->job->stepsOf('find_drip') as $search) {
            $mend = $at->job->steps["extra:{$search->id}"] ?? null;
            $place = $mend === null || ! isset($at->job->closed[$mend->id]) ? -1 : $at->job->placeOf($mend);
            $last = $place < $at->job->placeOf($at->step) ? max($last, $place) : $last;
        }

        return $last;
    }

    /** What is still to come, mL: never more than the sums say can be missing. */
    public static function stillToComeMl(Situation $at, TopUps $series): float
    {
        $ledger = $at->job->ledger();

        return min($series->stillToComeMl, max(0.0, $ledger->trappedAirMl() + $ledger->trappedAirPlusMinusMl()));
    }

    /**
     * As much as this is reading error: of the vessel it was read in, and of a level in a circuit of this size; mL. A
     * vessel too coarse for the circuit shows nothing smaller than what a fill may leave.
     */
    public static function settledMl(Situation $at): float
    {
        $topUps = $at->observed(ToppedUp::class);
        $vessel = $topUps === [] ? 0.0 : max(array_map(fn (ToppedUp $topUp) => $topUp->read->plusMinusMl($at), $topUps));
        $mayStay = Plan::of($at)->choices->airLimitMl($at->circuit());

        return max(min(self::VESSEL_ERRORS * $vessel, $mayStay), Level::plusMinusMl($at->circuit()));
    }

    /**
     * What came out before this level and did not go back in, beyond what both were read to, mL; nothing where it did.
     */
    public static function notBackMl(Situation $at): float
    {
        $before = null;
        foreach ($at->job->stepsOf($at->step->kind) as $step) {
            if ($step->id === $at->step->id) {
                break;
            }
            $before = $at->seenFrom($step)->observed(ToppedUp::class) === [] ? $before : $step->id;
        }
        [$out, $plusMinus] = self::cameOutBetween($at, $before, $at->step->id);

        return max(
            0.0,
            $out - ToppedUp::sumMl($at->observed(ToppedUp::class)) - hypot($plusMinus, self::settledMl($at)),
        );
    }

    /**
     * What came out after one step, and up to another.
     *
     * @return array{float, float} mL, and ±
     */
    private static function cameOutBetween(Situation $at, ?string $after, string $upTo): array
    {
        $places = array_flip(array_keys($at->job->steps));
        // What came out before it was filled is in the fill's own sums.
        $fills = array_filter(
            $at->job->stepsThat(Does::MovesCoolant),
            fn (Step $step) => $step->stage->value < Stage::RunHot->value && $step->kind !== $at->step->kind,
        );
        $from = $after === null
                ? max([-1, ...array_map(fn (Step $step) => $places[$step->id], array_values($fills))])
                : $places[$after];
        [$ml, $squares] = [0.0, 0.0];
        foreach (self::cameOut($at->job) as $out) {
            // The look at the level that it asked for stands before the step at which it came out.
            $place = $places[ColdLevelRead::afterOut($out)] ?? $places[$out->told()->step] ?? -1;
            if ($place > $from && $place <= $places[$upTo]) {
                $ml += $out->ml();
                $squares += $out->toldWithinMl($at) ** 2;
            }
        }

        return [$ml, sqrt($squares)];
    }

    /** @return list<CameOut> where nobody planned it */
    private static function cameOut(JobState $job): array
    {
        $out = array_map(CameOut::of(...), $job->cameUp());

        return array_values(array_filter($out));
    }
}
