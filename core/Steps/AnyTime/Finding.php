<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\AnyTime;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Observed\FoundOnTheWay;
use Aqbel\Core\Observed\FoundThen;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/**
 * Something found on the way, at whatever step: noted, looked at on the next visit, put right, or waited for. What it
 * asks for becomes a step of the job, in front of the one that must not come before it.
 */
final class Finding extends AnyTime
{
    public function name(): string
    {
        return Lines::Finding->value;
    }

    public function title(Situation $at): string
    {
        return 'Something was found';
    }

    public function why(Situation $at): string
    {
        return 'It stands in the record at its time; what it needs becomes a step of this job.';
    }

    protected function asked(Situation $at): Form
    {
        return FoundOnTheWay::asked($at->circuit(), self::ways($at));
    }

    /**
     * Nothing is put in front of an engine that runs: it is shut off first.
     *
     * @return list<FoundThen>
     */
    private static function ways(Situation $at): array
    {
        $runs = self::engineRuns($at);

        return array_values(array_filter(FoundThen::cases(), fn (FoundThen $then) => ! $runs || ! $then->stopsHere()));
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        FoundOnTheWay::admit($values);
    }

    public function complete(Situation $at, string $form, Values $values): Values
    {
        $before = match (FoundOnTheWay::then($values)) {
            FoundThen::Now, FoundThen::Wait => $at->step->id,
            // Where nothing presses or runs any more, before it leaves the shop.
            FoundThen::BeforeLoad, FoundThen::WaitBeforeLoad => self::firstThat($at, Does::LoadsJoints)
                ?? self::firstThat($at, Does::Signs),
            FoundThen::BeforeSigning => self::firstThat($at, Does::Signs),
            default => null,
        };

        return $before === null ? $values : $values->with(Entry::BEFORE, $before);
    }

    public function brings(Situation $at, Values $values, int $seq): array
    {
        $stage = $at->job->steps[$values->text(Entry::BEFORE)]->stage ?? $at->step->stage;

        return match (true) {
            FoundOnTheWay::then($values)?->isWait() === true => [
                new Step("wait:{$seq}", 'wait', $stage, FoundOnTheWay::wait($values, $at->now)),
            ],
            $values->has(Entry::BEFORE) => [new Step("extra:{$seq}", 'extra', $stage, FoundOnTheWay::about($values))],
            default => [],
        };
    }

    /** @return list<string> what was found in a job and is left to the next visit, as it was typed, with its part */
    public static function watched(JobState $job): array
    {
        $found = array_filter(array_map(FoundOnTheWay::of(...), $job->cameUp()));
        $watched = array_filter($found, fn (FoundOnTheWay $one) => $one->then === FoundThen::Watch);

        return array_values(array_map(fn (FoundOnTheWay $one) => $one->say($job->circuit), $watched));
    }

    /** The first step still open that does this; the one in hand where it is already being done. */
    private static function firstThat(Situation $at, Does $what): ?string
    {
        $begun = false;
        foreach ($at->job->steps as $id => $step) {
            $begun = $begun || $id === $at->step->id;
            $isIt = $at->job->kinds->of($step)->does($what);
            if ($begun && $isIt && ! isset($at->job->closed[$id]) && ! ($id === $at->step->id && self::engineRuns($at))) {
                return $id;
            }
        }

        return null;
    }

    private static function engineRuns(Situation $at): bool
    {
        $kind = $at->job->kinds->of($at->step);

        return $kind instanceof StepKind && $kind->does(Does::RunsEngine) && $kind->ran($at) !== null;
    }
}
