<?php

declare(strict_types=1);

namespace Aqbel\Core\Writing;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Verdict;

/** What a step comes to since earlier lines were put right, where that is something else than before. */
final readonly class Changed
{
    private function __construct(public Step $step, public ?Verdict $before, public ?Verdict $now)
    {
    }

    /**
     * What the newest lines changed, as long as they put earlier ones right and nothing new was written since.
     *
     * @return list<self> in the order of the steps
     */
    public static function byTheNewest(JobState $state, int $now, UnitSystem $units): array
    {
        $last = null;
        foreach (array_reverse($state->journal->lines) as $line) {
            if (! self::putsRight($state, $line)) {
                $last = $line->seq;
                break;
            }
        }
        if ($last === null || $last === $state->journal->last()) {
            return [];
        }
        $before = $state->upTo($last);
        $changed = [];
        foreach ($state->steps as $id => $step) {
            if (! self::wasReached($before, $id) && ! self::wasReached($state, $id)) {
                continue;
            }
            $was = isset($before->steps[$id]) ? $before->verdictOf($step, $now, $units) : null;
            $is = $state->verdictOf($step, $now, $units);
            if ([$was?->code, $was?->tone, $was?->title] !== [$is?->code, $is?->tone, $is?->title]) {
                $changed[] = new self($step, $was, $is);
            }
        }

        return $changed;
    }

    /** Nobody has judged by a step that was neither finished nor written at. */
    private static function wasReached(JobState $state, string $step): bool
    {
        return isset($state->closed[$step]) || $state->entriesOf($step) !== [];
    }

    /** A line that corrects, takes back, or was added to what had been finished. */
    private static function putsRight(JobState $state, Entry $line): bool
    {
        return $line->kind()?->changesAnother() === true
            || (! $line->belongsToEveryStep() && self::wasFinished($state, $line));
    }

    /** Whether its step is finished all the same, or was opened again by it: told of a time before it was finished. */
    private static function wasFinished(JobState $state, Entry $line): bool
    {
        $closed = $state->closed[$line->step] ?? null;
        $opened = fn (Entry $finish): bool => $finish->is(Lines::Finish) && $finish->step === $line->step
            && $finish->seq < $line->seq && $finish->at > $line->at;

        return ($closed !== null && $line->seq > $closed->seq) || array_filter($state->journal->lines, $opened) !== [];
    }
}
