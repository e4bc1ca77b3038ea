<?php

declare(strict_types=1);

namespace App\Journal;

use App\Models\Container;
use App\Models\Job;
use App\Models\Person;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\NewLine;
use Aqbel\Core\Steps\StepCatalogue;

/** The shelf follows what is written in a job, and what is put right in it. */
final readonly class OnTheShelf
{
    public function __construct(private Job $job, private Person $person, private StepCatalogue $kinds)
    {
    }

    /** What a line, or the line it corrects, takes from the shelf or puts there. */
    public function follow(JobState $state, NewLine $written, int $seq): void
    {
        $step = $state->steps[$written->step] ?? null;
        $touches = $step !== null && $this->kinds->does($step, Does::TouchesShelf);
        $touches && $this->move($state, $written, $seq);
        // A number that is put right, or told late, may make what stands there another mixture.
        ($touches || Lines::tryFrom($written->form)?->changesAnother() === true) && $this->labelAnew($state);
    }

    private function move(JobState $state, NewLine $written, int $seq): void
    {
        $seq = $written->values->has('seq') ? $written->values->whole('seq') : $seq;
        $lines = [];
        foreach ($state->entries as $entry) {
            $step = $state->steps[$entry->step] ?? null;
            if ($entry->seq === $seq && $step !== null && ! $entry->belongsToEveryStep()) {
                $at = $state->at($step, $entry->at, $this->person->units, Container::stores($this->job, $seq));
                $lines = $this->kinds->of($step)->shelf($at, $entry);
            }
        }
        Container::follow($this->job, $seq, $this->person, $lines);
    }

    /** What a job left on the shelf is as strong as its sums say now. */
    private function labelAnew(JobState $state): void
    {
        $stores = Container::stores($this->job);
        foreach ($state->entries as $entry) {
            $step = $state->steps[$entry->step] ?? null;
            if ($step === null || $entry->belongsToEveryStep() || ! $this->kinds->does($step, Does::TouchesShelf)) {
                continue;
            }
            $at = $state->at($step, $entry->at, $this->person->units, $stores);
            foreach ($this->kinds->of($step)->shelf($at, $entry) as $line) {
                $line->new === null || Container::relabel($this->job, $entry->seq, $line->new);
            }
        }
    }
}
