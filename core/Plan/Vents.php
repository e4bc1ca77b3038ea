<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Flow\PortRun;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\PortState;
use Aqbel\Core\Job\Stage;

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
        // On what stays it counts from the pour on, and what stayed beyond the plan is in as if it had been poured.
        $before = $plan->choices->fillsOnWhatStays()
            ? $job->ledgerBefore(Stage::Fill)->contentMl - $plan->stayedMoreMl($job)
            : 0.0;
        $in = max(0.0, $job->ledger()->contentMl - $before);
        $next = [];
        foreach ($plan->fill->flows as $flow) {
            if (in_array($flow->port, $open, true)) {
                $next[] = new PortRun($flow->port, max(0.0, $flow->atMl - $in));
            }
        }

        return new self(array_values(array_unique([$pours[count($pours) - 1]->at, ...$open])), $next);
    }
}
