<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Observed\Started;

/** The warm-up that a look follows: one that was passed over leaves the one before it to be looked at. */
final class WarmedUp
{
    /** The last that was run before a step; null where none was. */
    public static function before(Situation $at): ?Step
    {
        $ran = null;
        foreach (array_slice(array_values($at->job->steps), 0, $at->job->placeOf($at->step)) as $step) {
            $ran = $step->kind === 'heat_cycle' && $at->job->observed($step->id, Started::class) !== [] ? $step : $ran;
        }

        return $ran;
    }
}
