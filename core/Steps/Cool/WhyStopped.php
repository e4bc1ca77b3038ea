<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Cool;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;

/** Stages 9 and 10, ordered by a run that had to be stopped: the cause, or that none was found. */
final class WhyStopped extends AsksForCause
{
    private const TWICE = 'not_found_twice';

    public function name(): string
    {
        return 'why_stopped';
    }

    public function title(Situation $at): string
    {
        return 'Why it had to be stopped';
    }

    public function why(Situation $at): string
    {
        return 'A run that ended in danger proves nothing, and the next one ends the same way unless something '
            .'has changed.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Level first: an open neck and a look tell more than any reading.',
            ($at->circuit()->hasHeater() ? 'Heater cold or sensor in air' : 'Sensor in air')
            .': a pocket. Far side cold: thermostat. Hot with the fan off: fan, fuse, switch.',
            'Steam or pressure that comes back at once: test for combustion gas before it runs again.',
        ];
    }

    public function obstacles(Situation $at): array
    {
        return $this->isLostTwice($at)
            ? [Obstacle::never(self::TWICE, self::noThirdRun())]
            : parent::obstacles($at);
    }

    /** Whether nobody knows why, as the time before: the next run would end the same way. */
    private function isLostTwice(Situation $at): bool
    {
        $before = $at->job->before($at->step, $this->name());

        return $before !== null && self::wasNotFound($at->seenFrom($before)) && self::wasNotFound($at);
    }

    private static function noThirdRun(): string
    {
        return 'Twice it had to be stopped and nobody knows why: it is not run a third time. Find the cause and say it '
            .'here, or give the job up, and the danger goes with it.';
    }

    protected function notFound(Situation $at): Verdict
    {
        return $this->isLostTwice($at)
            ? Verdict::stop(self::TWICE, 'Not found, twice', self::noThirdRun())
            : Verdict::wait('not_found', 'Not found', 'The next run is watched from the first minute.');
    }

    public function watch(Situation $at): array
    {
        return self::wasNotFound($at) ? ['stopped_without_cause'] : [];
    }

    public function sayWatch(string $code): string
    {
        return $code === 'stopped_without_cause' ? 'a hot run had to be stopped, no cause found' : $code;
    }

    /** The last run before a step, where it had to be stopped; null where it ended well. */
    public static function runBefore(Situation $at): ?Step
    {
        $run = null;
        foreach ($at->job->steps as $step) {
            if ($step->id === $at->step->id) {
                break;
            }
            $kind = $at->job->kinds->of($step);
            if ($kind->does(Does::RunsEngine) && $kind->ran($at->seenFrom($step)) !== null) {
                $stopped = $kind instanceof StepKind && $kind->wasStopped($at->seenFrom($step));
                $run = $stopped ? $step : null;
            }
        }

        return $run;
    }
}
