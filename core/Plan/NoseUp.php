<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Job\JobState;

/** How high the nose of a vehicle stands in the middle of a job: raised from the start, or for the pour alone. */
final class NoseUp
{
    private const SAFE = 'make_safe';

    private const RAISED = 'raise';

    private const LOWERED = 'lower';

    /** mm at the front axle */
    public static function mm(JobState $job): float
    {
        $plan = Plan::of($job);
        $pour = $plan->school->pours($job->circuit, $plan->choices)[0];

        return match (true) {
            isset($job->closed[self::LOWERED]) => 0.0,
            isset($job->closed[self::RAISED]) => $pour->noseLiftMm,
            isset($job->closed[self::SAFE]) => $plan->choices->noseLiftMm,
            default => 0.0,
        };
    }
}
