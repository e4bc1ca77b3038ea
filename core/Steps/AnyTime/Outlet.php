<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\AnyTime;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\Cool\TopUpSeries;
use Aqbel\Core\Steps\Drain\Elsewhere;
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
        return Elsewhere::form($at, $this->vesselFields($at, 'volume', 'Came out', VesselUse::Drain), $this->name());
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return Elsewhere::lines($at, $entry, self::plusMinusMl($at, $entry));
    }

    /** After it was filled, what came out is missing at the neck: it is brought to the mark before anything runs. */
    public function complete(Situation $at, string $form, Values $values): Values
    {
        $before = self::lowersTheLevel($at, $values) ? self::nextThatNeedsTheLevel($at) : null;

        return $before === null ? $values : $values->with(Entry::BEFORE, $before);
    }

    public function brings(Situation $at, Values $values, int $seq): array
    {
        return $values->has(Entry::BEFORE)
            ? [new Step("cold_level:out:{$seq}", 'cold_level', $at->step->stage, new Values(['after' => Lines::Outlet->value]))]
            : [];
    }

    /**
     * What came out after one step, and up to another: with what is topped up there it makes no air.
     *
     * @return array{float, float} mL, and ±
     */
    public static function between(JobState $job, ?string $after, string $upTo): array
    {
        $places = array_flip(array_keys($job->steps));
        [$ml, $squares] = [0.0, 0.0];
        foreach ($job->cameUp() as $entry) {
            $place = $places[$entry->step] ?? -1;
            if (! $entry->is(Lines::Outlet) || $place > $places[$upTo] || $place <= ($after === null ? -1 : $places[$after])) {
                continue;
            }
            $at = $job->at($job->steps[$entry->step], $entry->at);
            foreach ((new self)->ledger($at, $entry) as $line) {
                $ml -= $line->ml;
                $squares += $line->plusMinusMl ** 2;
            }
        }

        return [$ml, sqrt($squares)];
    }

    /** Whether it is coolant that the circuit misses: neither the bottle's, nor so little that a mark does not tell it. */
    public static function isLost(Situation $at, Entry $entry): bool
    {
        return $entry->is(Lines::Outlet) && self::isMissed($at, $entry->values);
    }

    private static function isMissed(Situation $at, Values $values): bool
    {
        return $values->text('way') !== Elsewhere::BOTTLE
            && (float) $values->number('volume') > TopUpSeries::LEVEL_SHARE * $at->circuit()->capacityMl();
    }

    private static function lowersTheLevel(Situation $at, Values $values): bool
    {
        $fills = fn (Step $step): bool => $step->stage->value < Stage::RunHot->value && ! isset($at->job->closed[$step->id]);

        return self::isMissed($at, $values) && array_filter($at->job->stepsThat(Does::MovesCoolant), $fills) === [];
    }

    /** The first open step that runs the engine or signs; null where the level is read before it anyway. */
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
            if ((! $running && $kind->does(Does::RunsEngine)) || $kind->does(Does::Signs)) {
                return $id;
            }
        }

        return null;
    }
}
