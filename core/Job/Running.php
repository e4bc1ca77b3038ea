<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/** When the engine has run in a job, and how its neck stands since. */
final readonly class Running
{
    /** @param  list<EngineRun>  $runs  in the order of the steps */
    private function __construct(private JobState $job, public array $runs)
    {
    }

    public static function of(JobState $job): self
    {
        return new self($job, EngineRun::all($job));
    }

    /** When the engine last ran, Unix seconds; null when it has not. */
    public function last(): ?int
    {
        return $this->runs === [] ? null : max(array_column($this->runs, 'ended'));
    }

    /** How the neck stood when the engine last ran, in the whole job or before a step; null while it has not run. */
    public function neck(?Step $before = null): ?Neck
    {
        $neck = null;
        foreach ($this->runs as $run) {
            $neck = $before === null || $run->place < $this->job->placeOf($before) ? $run->neck ?? $neck : $neck;
        }

        return $neck;
    }
}
