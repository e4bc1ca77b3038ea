<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\AnyTime;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\ColdLevelRead;
use Aqbel\Core\Judged\Level;
use Aqbel\Core\Observed\CameOut;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\Elsewhere;
use Aqbel\Core\Values;

/** Coolant that comes out where nobody planned it, at whatever step: it counts in the one balance over all of it. */
final class Outlet extends AnyTime
{
    public function name(): string
    {
        return Lines::Outlet->value;
    }

    protected function doing(): array
    {
        return [Does::MovesCoolant];
    }

    public function observes(): array
    {
        return [CameOut::class];
    }

    public function title(Situation $at): string
    {
        return 'Coolant came out';
    }

    public function why(Situation $at): string
    {
        return 'What is not written down is missing from the sums, and looks like air.';
    }

    protected function asked(Situation $at): Form
    {
        return CameOut::asked($at, $this->name());
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return Elsewhere::lines($at, $entry);
    }

    /** After it was filled, what came out is missing at the neck: it is brought to the mark before anything runs. */
    public function complete(Situation $at, string $form, Values $values): Values
    {
        $values = CameOut::asTold($values);
        $before = self::lowersTheLevel($at, $values) ? self::nextThatNeedsTheLevel($at) : null;

        return $before === null ? $values : $values->with(Entry::BEFORE, $before);
    }

    public function brings(Situation $at, Values $values, int $seq): array
    {
        return $values->has(Entry::BEFORE)
            ? [
                new Step(
                    ColdLevelRead::AFTER_OUT.$seq,
                    'cold_level',
                    $at->step->stage,
                    new Values([ColdLevelRead::AFTER => Lines::Outlet->value]),
                ),
            ]
            : [];
    }

    /**
     * Whether it is coolant that the circuit misses: neither the bottle's, nor so little that a mark does not tell it.
     */
    private static function isMissed(Situation $at, Values $values): bool
    {
        $out = CameOut::of(new Entry(0, $at->now, '', $at->step->id, Lines::Outlet->value, $values));

        return $out !== null && Level::tells($at->circuit(), $out->ml());
    }

    private static function lowersTheLevel(Situation $at, Values $values): bool
    {
        $fills = fn (Step $step): bool => $step->stage->value < Stage::RunHot->value
            && ! isset($at->job->closed[$step->id]);

        return self::isMissed($at, $values) && array_filter($at->job->stepsThat(Does::MovesCoolant), $fills) === [];
    }

    /** The first open step that presses, runs the engine or signs; null where the level is read before it anyway. */
    private static function nextThatNeedsTheLevel(Situation $at): ?string
    {
        $here = false;
        foreach ($at->job->steps as $id => $step) {
            $here = $here || $id === $at->step->id;
            $kind = $at->job->kinds->of($step);
            if (! $here || isset($at->job->closed[$id])) {
                continue;
            }
            if ($step->kind === 'cold_level') {
                return null;
            }
            $running = $kind->does(Does::RunsEngine) && $kind->ran($at->job->at($step, $at->now)) !== null;
            $starts = ! $running && $kind->does(Does::RunsEngine);
            // A test that tops it up itself needs no look before it.
            $presses = $kind->does(Does::LoadsJoints) && ! $kind->does(Does::MovesCoolant);
            if ($starts || $presses || $kind->does(Does::Signs)) {
                return $id;
            }
        }

        return null;
    }
}
