<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Findings;

use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Mixing\Batch;
use Aqbel\Core\Plan\Plan;

/** What was mixed so far: for the whole job, or at one step. */
final class Bucket
{
    /** @param  ?Step  $only  one mixing step; all of them when null */
    public static function batch(JobState $job, ?Step $only = null): Batch
    {
        $stock = Plan::of($job)->choices->stockFraction;
        $batch = Batch::empty();
        foreach ($only === null ? $job->stepsOf('mix') : [$only] as $step) {
            foreach ($job->entriesOf($step->id) as $entry) {
                $batch = match ($entry->form) {
                    'batch' => $batch->with((float) $entry->number('concentrate'), $stock)
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

    /** Glycol share of whatever is poured after the mixing: the batch's, or the target's while there is none. */
    public static function fraction(Situation $at): float
    {
        return self::batch($at->job)->fraction() ?? Plan::of($at)->choices->targetFraction;
    }
}
