<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/** One step in which the engine has run, or was heard to run hot. */
final readonly class EngineRun
{
    /**
     * @param  int  $place  of the step in the job, from 0
     * @param  int  $ended  Unix seconds
     * @param  ?Neck  $neck  how it stood meanwhile; null where nobody said
     */
    private function __construct(public int $place, public int $ended, public ?Neck $neck)
    {
    }

    /** @return list<self> */
    public static function all(JobState $job): array
    {
        $runs = [];
        foreach (array_values($job->steps) as $place => $step) {
            $kind = $job->kinds->of($step);
            $kind = $kind->does(Does::RunsEngine) ? $kind : self::cameUp($job, $step);
            $at = $job->at($step, 0);
            $ended = $kind?->ran($at);
            if ($kind !== null && $ended !== null) {
                $runs[] = new self($place, $ended, $kind->neckWhileRunning($at));
            }
        }

        return $runs;
    }

    /** What tells of a run at a step that is none. */
    private static function cameUp(JobState $job, Step $step): ?Kind
    {
        foreach ($job->cameUp($step->id) as $line) {
            $kind = $job->kinds->reading($step, $line);
            if ($kind->does(Does::RunsEngine)) {
                return $kind;
            }
        }

        return null;
    }
}
