<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Mixing\Batch;
use Aqbel\Core\Observed\BatchMixed;
use Aqbel\Core\Observed\FromShelf;
use Aqbel\Core\Observed\LevelReached;
use Aqbel\Core\Observed\Poured;
use Aqbel\Core\Observed\PouredBack;
use Aqbel\Core\Observed\ToppedUp;
use Aqbel\Core\Observed\VesselReading;
use Aqbel\Core\Plan\Plan;

/** What was mixed so far: for the whole job, or at one step; and what of it was poured. */
final class Bucket
{
    /** @param  ?Step  $only  one mixing step; all of them when null */
    public static function batch(JobState $job, ?Step $only = null): Batch
    {
        $stock = Plan::of($job)->choices->stockFraction;
        $batch = Batch::empty();
        foreach ($only === null ? $job->stepsOf('mix') : [$only] as $step) {
            foreach ($job->observed($step->id, BatchMixed::class) as $mixed) {
                $batch = $batch->with($mixed->stockMl, $stock)->with($mixed->waterMl, 0.0);
            }
            foreach (
                [...$job->observed($step->id, FromShelf::class), ...$job->observed($step->id, PouredBack::class)] as $taken
            ) {
                $batch = $batch->with($taken->ml, $taken->fraction);
            }
        }

        return $batch;
    }

    /** How much of it is old coolant that goes back in. */
    public static function oldShare(JobState $job): float
    {
        $batch = self::batch($job)->ml;

        return $batch > 0.0 ? min(1.0, self::backMl($job) / $batch) : 0.0;
    }

    /** Old coolant that goes back in, mL. */
    public static function backMl(JobState $job): float
    {
        return array_sum(array_map(fn (PouredBack $back) => $back->ml, $job->observedAnywhere(PouredBack::class)));
    }

    /** What was poured from it: into the circuit and back out into jug, hose and rags not counted, mL. */
    public static function pouredMl(JobState $job): float
    {
        return array_sum(array_map(
            fn (Line $line) => $line->fromBatch ? $line->ml : 0.0,
            $job->ledger()->lines,
        ));
    }

    /** Whether it is mixed inside: the stock is poured first, all of it, then the water. */
    public static function isInside(JobState $job): bool
    {
        return self::setOut($job) !== [];
    }

    /** Glycol share of what one entry pours. */
    public static function fractionOf(Situation $at, Entry $entry): float
    {
        return self::isInside($at->job)
            ? self::slice($at->job, self::pouredBefore($at->job, $entry), (float) $entry->number(VesselReading::VOLUME))
            : self::fraction($at);
    }

    /** Glycol share of what is left of it when so much has been poured. */
    public static function fractionLeft(Situation $at): float
    {
        $poured = self::pouredBefore($at->job, null);

        return self::isInside($at->job)
            ? self::slice($at->job, $poured, self::batch($at->job)->ml - $poured)
            : self::fraction($at);
    }

    /** What is still to come of the stock where it is mixed inside, mL. */
    public static function stockToComeMl(JobState $job): float
    {
        return self::insideStockMl($job) - self::pouredBefore($job, null);
    }

    /** Glycol share of so much, poured after so much of it. */
    private static function slice(JobState $job, float $fromMl, float $ml): float
    {
        $stock = max(0.0, min($fromMl + $ml, self::insideStockMl($job)) - $fromMl);

        return $ml > 0.0 ? Plan::of($job)->choices->stockFraction * min(1.0, $stock / $ml) : 0.0;
    }

    /** Concentrate set out to be poured in first, mL. */
    public static function insideStockMl(JobState $job): float
    {
        return array_sum(array_map(fn (BatchMixed $mixed) => $mixed->stockMl, self::setOut($job)));
    }

    /** Water set out to follow it, mL. */
    public static function insideWaterMl(JobState $job): float
    {
        return array_sum(array_map(fn (BatchMixed $mixed) => $mixed->waterMl, self::setOut($job)));
    }

    /** @return array<BatchMixed> to be poured in one after the other */
    private static function setOut(JobState $job): array
    {
        return array_filter($job->observedAnywhere(BatchMixed::class), fn (BatchMixed $mixed) => $mixed->inside);
    }

    /** What is left of it when so much has been poured, before an entry or in all, mL. */
    public static function leftBeforeMl(JobState $job, ?Entry $entry): float
    {
        return max(0.0, self::batch($job)->ml - self::pouredBefore($job, $entry));
    }

    /** What was poured of it before an entry, or in all, mL. */
    private static function pouredBefore(JobState $job, ?Entry $entry): float
    {
        $ml = 0.0;
        foreach ($job->entries as $other) {
            if ($entry !== null && [$other->at, $other->seq] >= [$entry->at, $entry->seq]) {
                break;
            }
            $inBucket = LevelReached::of($other)?->inBucketMl;
            $pours = in_array($other->form, [Poured::FORM, LevelReached::FORM], true)
                || ($other->form === ToppedUp::FORM && ToppedUp::isOfTheBatch($other));
            $ml = match (true) {
                ! $pours || ! isset($job->steps[$other->step]) => $ml,
                $inBucket !== null => max($ml, self::batch($job)->ml - $inBucket),
                default => $ml + (float) $other->number(VesselReading::VOLUME),
            };
        }

        return $ml;
    }

    /** Glycol share of whatever is poured after the mixing: the batch's, or the target's while there is none. */
    public static function fraction(Situation $at): float
    {
        return self::batch($at->job)->fraction() ?? Plan::of($at)->choices->targetFraction;
    }
}
