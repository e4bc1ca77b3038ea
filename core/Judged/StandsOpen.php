<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Plan\LeftBehind;

/**
 * Points that by the journal stand open, opened here or left so by a job before, and that no step still to come shuts:
 * whoever was to shut them was passed over.
 */
final class StandsOpen
{
    /** @return list<string> ids of ports; none while it is drained, or something before the step is still to be done */
    public static function of(Situation $at): array
    {
        return $at->once(self::class, function () use ($at): array {
            $isBefore = $at->step->stage->value < Stage::Rinse->value;
            $runs = $at->job->kinds->of($at->step)->does(Does::RunsEngine);
            if (($isBefore && ! $runs) || $at->job->turn()->openBefore($at->step) !== []) {
                return [];
            }
            $minded = [];
            // Before the work no step has shut anything yet by the time it runs.
            foreach ($isBefore ? [] : $at->job->steps as $id => $step) {
                if (! isset($at->job->closed[$id])) {
                    $minded[] = $step->params->text('port');
                }
            }

            return array_values(array_diff(LeftBehind::of($at->job, '', $at->now)->open, $minded));
        });
    }
}
