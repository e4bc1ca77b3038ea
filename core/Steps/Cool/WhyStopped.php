<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Cool;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Observed\CauseNamed;
use Aqbel\Core\Observed\DripSeen;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/** Stages 9 and 10, ordered by a run that had to be stopped: the cause, or that none was found. Never passed over. */
final class WhyStopped extends StepKind
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

    public function hazards(Situation $at): array
    {
        return [Hazard::Scald];
    }

    public function observes(): array
    {
        return [CauseNamed::class];
    }

    public function asks(Situation $at): array
    {
        return [CauseNamed::asked()];
    }

    public function obstacles(Situation $at): array
    {
        return match (true) {
            $at->latest(CauseNamed::class) === null => [
                Obstacle::never('no_cause', 'Record the cause, or that it was looked for and not found.'),
            ],
            $this->isLostTwice($at) => [Obstacle::never(self::TWICE, self::noThirdRun())],
            default => [],
        };
    }

    /** Whether nobody knows why, as the time before: the next run would end the same way. */
    private function isLostTwice(Situation $at): bool
    {
        $before = $at->job->before($at->step, $this->name());
        $then = $before === null ? null : $at->seenFrom($before)->gravest(CauseNamed::class);

        return $then?->wasFound() === false && $at->gravest(CauseNamed::class)?->wasFound() === false;
    }

    private static function noThirdRun(): string
    {
        return 'Twice it had to be stopped and nobody knows why: it is not run a third time. Find the cause and say it here, '
            .'or give the job up, and the danger goes with it.';
    }

    public function judge(Situation $at): ?Verdict
    {
        $named = $at->gravest(CauseNamed::class);

        return match (true) {
            $named === null => null,
            $named->isGas() => Verdict::stop(
                'gas',
                'Combustion gas',
                'The head gasket or a crack lets gas into the coolant. No run and no bleeding cures that: it is '
                    .'mended next, before it runs again.',
            ),
            $this->isLostTwice($at) => Verdict::stop(self::TWICE, 'Not found, twice', self::noThirdRun()),
            ! $named->wasFound() => Verdict::wait('not_found', 'Not found', 'The next run is watched from the first minute.'),
            default => Verdict::pass(
                'found',
                'Found: '.mb_strtolower($named->label()),
                'The next run shows whether it was all.',
            ),
        };
    }

    public function orders(Situation $at): array
    {
        return $at->gravest(CauseNamed::class)?->isGas() === true
            ? [
                new Step(
                    "extra:{$at->step->id}",
                    'extra',
                    $at->step->stage,
                    new Values(['what' => DripSeen::GAS_GETS_IN]),
                ),
            ]
            : [];
    }

    public function watch(Situation $at): array
    {
        return $at->gravest(CauseNamed::class)?->wasFound() === false ? ['stopped_without_cause'] : [];
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
