<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/** Whose turn it is among the steps of a job: the order of the plan, and an engine that runs before any of it. */
final readonly class Turn
{
    public function __construct(private JobState $job)
    {
    }

    /**
     * The first step not yet finished; one at which an engine runs before any, whatever was put in hand again meanwhile.
     * Null when all are finished.
     */
    public function stepInHand(): ?Step
    {
        $open = array_diff_key($this->job->steps, $this->job->closed);
        foreach ($open as $step) {
            if ($this->runsAt($step)) {
                return $step;
            }
        }

        return $open === [] ? null : $open[array_key_first($open)];
    }

    /** Whether something may be written at a step now: nothing before it is open, or an engine runs at it. */
    public function isInHand(Step $step): bool
    {
        return $this->openBefore($step) === [] || $this->runsAt($step);
    }

    /**
     * @return list<Step> steps before this one that are still open;
     * not those of its kind that may be done in any order
     */
    public function openBefore(Step $step): array
    {
        return array_values(array_filter(
            $this->before($step),
            fn (Step $other) => ! isset($this->job->closed[$other->id]),
        ));
    }

    /** @return list<Step> open steps that may be done instead of this one, in whichever order they really come */
    public function insteadOf(Step $step): array
    {
        $open = fn (Step $other): bool => $other->id !== $step->id
            && ! isset($this->job->closed[$other->id])
            && $this->areAlike($step, $other);

        return array_values(
            array_filter($this->job->steps, fn (Step $other) => $open($other) && $this->openBefore($other) === []),
        );
    }

    /** When the last of the steps that come before one was finished, Unix seconds; null where none is. */
    public function inHandSince(Step $step): ?int
    {
        $finished = array_intersect_key($this->job->closed, $this->before($step));

        return $finished === [] ? null : max(array_map(fn (Entry $line) => $line->at, $finished));
    }

    /** @return array<string, Step> those that come before a step, but what may as well come after it */
    private function before(Step $step): array
    {
        $before = [];
        foreach ($this->job->steps as $id => $other) {
            if ($id === $step->id) {
                break;
            }
            $before += $this->areAlike($step, $other) ? [] : [$id => $other];
        }

        return $before;
    }

    /** Whether it does not matter which of two steps comes first. */
    public function areAlike(Step $one, Step $other): bool
    {
        return $one->kind === $other->kind && $this->job->kinds->of($one)->does(Does::AnyOrder);
    }

    private function runsAt(Step $step): bool
    {
        $lines = $this->job->entriesOf($step->id);
        if ($lines === []) {
            return false;
        }
        $told = max(array_column($lines, 'at'));

        return $this->job->kinds->of($step)->runsNow($this->job->at($step, $told));
    }
}
