<?php

declare(strict_types=1);

namespace App\Plan;

use App\Models\Circuit;
use App\Models\Job;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Steps\StepCatalogue;

/** A job under way, planned by the same choices on a later revision of its circuit. */
final readonly class NewerRevision
{
    public function __construct(private Planner $planner, private StepCatalogue $kinds)
    {
    }

    /** @throws InvalidField on `merge`, where that revision does not carry the plan or what was already worked on */
    public function plan(Job $job, Circuit $newer): Plan
    {
        $state = $job->state();
        try {
            $plan = $this->planner->plan($newer->read(), Plan::of($state)->choices);
        } catch (InvalidField $invalid) {
            throw new InvalidField(
                'merge',
                "Revision {$newer->revision} does not carry this plan: {$invalid->getMessage()} Plan anew instead.",
            );
        }
        $gone = $this->workedOn($state, array_map(fn (Step $step) => $step->id, $plan->steps));
        if ($gone !== []) {
            throw new InvalidField('merge', 'Already worked on, and not there any more: '.implode(', ', $gone)
                .'. Plan anew, so that what is inside is carried along.');
        }

        return $plan;
    }

    /**
     * @param  list<string>  $there
     * @return list<string> titles of the steps that have entries and are not among these
     */
    private function workedOn(JobState $state, array $there): array
    {
        $titles = [];
        foreach ($state->steps as $step) {
            if (! in_array($step->id, $there, true) && $state->entriesOf($step->id) !== []) {
                $titles[] = $this->kinds->of($step)->title($state->at($step, 0));
            }
        }

        return $titles;
    }
}
