<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Observed\Report;

/** When a thing that is told of at its end can have begun at the earliest, by the server's clock. */
final class Since
{
    /** To the minute, as lengths are told, s. */
    public const SLACK_S = 60.0;

    /**
     * Not before another step was finished, nor before the same was told of at this step the last time.
     *
     * @param  Stage  $upTo  the last stage whose steps cannot be finished while it goes on
     * @return int Unix seconds
     */
    public static function earliest(Situation $at, Report $told, Stage $upTo): int
    {
        $since = $at->job->entries[0]->at ?? 0;
        foreach ($at->job->entries as $entry) {
            $ends = $entry->closes() && $entry->step !== $at->step->id
                && ($at->job->steps[$entry->step]->stage->value ?? 0) <= $upTo->value;
            $isBefore = [$entry->at, $entry->seq] < [$told->at(), $told->told()->seq];
            $since = $ends && $isBefore ? max($since, $entry->at) : $since;
        }
        foreach ($at->observed($told::class) as $other) {
            $since = $told->told()->isAfter($other->told()) ? max($since, $other->at()) : $since;
        }

        return $since;
    }
}
