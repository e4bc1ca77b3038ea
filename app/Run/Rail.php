<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Steps\StepCatalogue;

/** The stages of a job beside the step that is shown, with the steps of its own. */
final readonly class Rail
{
    public function __construct(
        private int $jobId,
        private JobState $state,
        private StepCatalogue $kinds,
        private Step $step,
        private int $now,
        private UnitSystem $units,
    ) {
    }

    /** @return list<RailStage> */
    public function stages(): array
    {
        return array_map($this->stage(...), Stage::asTheyCome($this->state->steps));
    }

    /** @return list<RailStep> what may be done in place of the step shown, where it comes first */
    public function instead(): array
    {
        return array_map($this->railStep(...), $this->state->turn()->insteadOf($this->step));
    }

    private function stage(Stage $stage): RailStage
    {
        $steps = array_filter($this->state->steps, fn (Step $s) => $s->stage === $stage);
        $open = array_diff_key($steps, $this->state->closed);
        $current = $this->step->stage === $stage;
        $first = array_key_first($open === [] ? $steps : $open) ?? $this->step->id;

        return new RailStage($stage, $current, count($steps) - count($open), count($steps), $this->href($first),
            $current ? array_values(array_map($this->railStep(...), $steps)) : []);
    }

    private function railStep(Step $step): RailStep
    {
        $closed = $this->state->closed[$step->id] ?? null;
        $title = $this->kinds->of($step)->title($this->state->at($step, $this->now, $this->units));

        return new RailStep(
            $this->href($step->id),
            $title,
            $closed !== null,
            $closed !== null && ! $closed->is(Lines::Finish),
            $step->id === $this->step->id,
        );
    }

    private function href(string $step): string
    {
        return "/jobs/{$this->jobId}?step=".urlencode($step);
    }
}
