<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Flow\PortRun;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\PortState;

/** Where air leaves in the middle of a pour, and which point coolant comes to next. */
final readonly class Vents
{
    /**
     * @param  list<string>  $open  ports, that which is poured into first
     * @param  list<PortRun>  $next  open bleed points in the order in which
     * coolant comes to them, with what still goes in until then
     */
    private function __construct(public array $open, public array $next)
    {
    }

    /**
     * Null where the air does not leave by itself: under vacuum, or by the manual’s own routine.
     *
     * @param  array<string, PortState>  $states  how each point stands
     */
    public static function of(JobState $job, array $states): ?self
    {
        $plan = Plan::of($job);
        if ($plan->school->mixedOutside() || $plan->school->followsTheManual()) {
            return null;
        }
        $pours = $plan->school->pours($job->circuit, $plan->choices);
        $open = array_keys(array_filter($states, fn (PortState $is) => $is === PortState::Open));
        // What stayed beyond the prediction is in as if it had been poured.
        $stays = $plan->choices->fillsOnWhatStays() ? $plan->predicted->retainedMl : 0.0;
        $in = max(0.0, $job->ledger()->contentMl - $stays);
        $next = [];
        foreach ($plan->fill->flows as $flow) {
            if (in_array($flow->port, $open, true)) {
                $next[] = new PortRun($flow->port, max(0.0, $flow->atMl - $in));
            }
        }

        return new self(array_values(array_unique([$pours[count($pours) - 1]->at, ...$open])), $next);
    }
}
