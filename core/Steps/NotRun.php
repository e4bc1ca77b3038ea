<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;

/** A run that was passed over takes with it what would only follow it: the cool-down, and the level that it was to bring down. */
final class NotRun
{
    /** What follows a run, and says nothing without it. */
    private const FOLLOWERS = ['cool_down', 'vent_between', 'cold_level'];

    /** @return list<string> ids of the open steps right behind this one that only follow it */
    public static function followers(Situation $at): array
    {
        $followers = [];
        foreach (array_slice(array_values($at->job->steps), $at->job->placeOf($at->step) + 1) as $step) {
            if (! self::follows($step) || isset($at->job->closed[$step->id])) {
                break;
            }
            $followers[] = $step->id;
        }

        return $followers;
    }

    private static function follows(Step $step): bool
    {
        return in_array($step->kind, self::FOLLOWERS, true) && ! $step->params->has('after');
    }
}
