<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Findings;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Mixing\Batch;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Steps\Fill\Poured;

/** What was mixed so far: for the whole job, or at one step. */
final class Bucket
{
    /** The form under which stock and water are set out to be poured one after the other. */
    public const INSIDE = 'inside';

    private const HARDLY_ML = 1.0;

    /** @param  ?Step  $only  one mixing step; all of them when null */
    public static function batch(JobState $job, ?Step $only = null): Batch
    {
        $stock = Plan::of($job)->choices->stockFraction;
        $batch = Batch::empty();
        foreach ($only === null ? $job->stepsOf('mix') : [$only] as $step) {
            foreach ($job->entriesOf($step->id) as $entry) {
                $batch = match ($entry->form) {
                    'batch', self::INSIDE => $batch->with((float) $entry->number('concentrate'), $stock)
                        ->with((float) $entry->number('water'), 0.0),
                    'shelf', 'reused' => $batch->with(
                        (float) $entry->number('volume'),
                        (float) $entry->number('fraction'),
                    ),
                    default => $batch,
                };
            }
        }

        return $batch;
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
        return $job->lastOf('mix', self::INSIDE) !== null;
    }

    /** Glycol share of what one entry pours. */
    public static function fractionOf(Situation $at, Entry $entry): float
    {
        return self::isInside($at->job)
            ? self::slice($at->job, self::pouredBefore($at->job, $entry), (float) $entry->number('volume'))
            : self::fraction($at);
    }

    /** Glycol share of what is left of it when so much has been poured. */
    public static function fractionLeft(Situation $at): float
    {
        $poured = self::pouredBefore($at->job, null);

        return self::isInside($at->job) ? self::slice($at->job, $poured, self::batch($at->job)->ml - $poured) : self::fraction($at);
    }

    /** What is poured next where it is mixed inside, as a sentence; empty where it is mixed outside. */
    public static function next(Situation $at): string
    {
        if (! self::isInside($at->job)) {
            return '';
        }
        $left = self::insideStockMl($at->job) - self::pouredBefore($at->job, null);

        return $left > self::HARDLY_ML
            ? "Concentrate first: {$at->litres($left)} of it still to come, then the water."
            : 'The concentrate is in: now the water.';
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
        return self::setOut($job, 'concentrate');
    }

    /** Water set out to follow it, mL. */
    public static function insideWaterMl(JobState $job): float
    {
        return self::setOut($job, 'water');
    }

    private static function setOut(JobState $job, string $liquid): float
    {
        $ml = 0.0;
        foreach ($job->stepsOf('mix') as $step) {
            foreach ($job->entriesOf($step->id, self::INSIDE) as $entry) {
                $ml += (float) $entry->number($liquid);
            }
        }

        return $ml;
    }

    /** What was poured of it before an entry, or in all, mL. */
    private static function pouredBefore(JobState $job, ?Entry $entry): float
    {
        $ml = 0.0;
        foreach ($job->entries as $other) {
            if ($entry !== null && [$other->at, $other->seq] >= [$entry->at, $entry->seq]) {
                break;
            }
            $step = $job->steps[$other->step] ?? null;
            $pours = $step !== null && ! $other->belongsToEveryStep()
                && ($job->kinds->of($step) instanceof Poured || ($other->form === 'topped' && in_array($other->text('liquid'), ['', 'batch'], true)));
            $ml += $pours ? (float) $other->number('volume') : 0.0;
        }

        return $ml;
    }

    /** Glycol share of whatever is poured after the mixing: the batch's, or the target's while there is none. */
    public static function fraction(Situation $at): float
    {
        return self::batch($at->job)->fraction() ?? Plan::of($at)->choices->targetFraction;
    }
}
