<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/** One step in which the engine has run. */
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
            if (! $kind->does(Does::RunsEngine)) {
                continue;
            }
            $at = $job->at($step, 0);
            $ended = $kind->ran($at);
            if ($ended !== null) {
                $runs[] = new self($place, $ended, $kind->neckWhileRunning($at));
            }
        }

        return $runs;
    }
}
