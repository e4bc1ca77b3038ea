<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\ColdLevelRead;
use Aqbel\Core\Observed\Started;

/**
 * A run that was passed over takes with it what would only follow
 * it: the cool-down, and the level that it was to bring down.
 */
final class NotRun
{
    /** What follows a run, and says nothing without it. */
    private const FOLLOWERS = ['cool_down', 'vent_between', 'cold_level'];

    /**
     * @return list<string> ids of the open steps right behind this one that only
     * follow it; none where they follow a run before it as well
     */
    public static function followers(Situation $at): array
    {
        if (self::isStillHot($at)) {
            return [];
        }
        $followers = [];
        foreach (array_slice(array_values($at->job->steps), $at->job->placeOf($at->step) + 1) as $step) {
            if (! self::follows($step) || isset($at->job->closed[$step->id])) {
                break;
            }
            $followers[] = $step->id;
        }

        return $followers;
    }

    /** The run before this one was run, and nothing has cooled it down since. */
    private static function isStillHot(Situation $at): bool
    {
        foreach (
            array_reverse(array_slice(array_values($at->job->steps), 0, $at->job->placeOf($at->step))) as $before
        ) {
            if ($before->kind !== $at->step->kind) {
                return false;
            }
            if ($at->job->observed($before->id, Started::class) !== []) {
                return true;
            }
        }

        return false;
    }

    private static function follows(Step $step): bool
    {
        return in_array($step->kind, self::FOLLOWERS, true) && ! $step->params->has(ColdLevelRead::AFTER);
    }
}
