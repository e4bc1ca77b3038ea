<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/**
 * The steps of a job in order, as its journal leaves them: planned, ordered by what was finished, brought in by what
 * came up, and planned anew where it went another way.
 */
final readonly class Sequence
{
    /**
     * @param  Basis  $plan  what holds now
     * @param  array<string, Step>  $steps  in order
     * @param  array<string, Entry>  $closed  the entry that closed each finished step
     */
    private function __construct(public Basis $plan, public array $steps, public array $closed)
    {
    }

    /**
     * @param  list<Entry>  $entries  in order of their own time
     * @param  array<string, Entry>  $reopened  the line after which a finished step no longer holds, by step
     * @param  array<string, list<Entry>>  $byStep  what was written at each step
     */
    public static function fold(Basis $plan, array $entries, array $reopened, array $byStep): self
    {
        [$steps, $closed] = [self::indexed($plan->steps()), []];
        $last = array_column(array_filter($entries, fn (Entry $entry) => $entry->closes()), 'seq', 'step');
        foreach ($entries as $entry) {
            if ($entry->isAnyTime()) {
                $plan = $entry->planned ?? $plan;
                $steps
                    = $entry->planned === null ? self::insert($steps, $entry) : self::indexed($entry->planned->steps());
            }
            if (! $entry->closes()) {
                continue;
            }
            $again = $reopened[$entry->step] ?? null;
            if ($entry->seq < $last[$entry->step] || ($again !== null && $entry->seq < $again->seq)) {
                $begun = array_filter($entry->orders, fn (Step $ordered) => isset($byStep[$ordered->id]));
                $steps = $begun === [] ? $steps : self::insertAfter($steps, $entry->step, $entry->orders);

                continue;
            }
            $closed[$entry->step] = $entry;
            $needless = array_diff_key(array_flip(Closing::of($entry)->needless), $closed);
            $steps = self::insertAfter(array_diff_key($steps, $needless), $entry->step, $entry->orders);
        }

        return new self($plan, $steps, $closed);
    }

    /**
     * @param  list<Step>  $steps
     * @return array<string, Step>
     */
    private static function indexed(array $steps): array
    {
        return array_combine(array_map(fn (Step $step) => $step->id, $steps), $steps);
    }

    /**
     * What came up brings its steps in before the one it names, or after its own.
     *
     * @param  array<string, Step>  $steps
     * @return array<string, Step>
     */
    private static function insert(array $steps, Entry $line): array
    {
        $place = array_search($line->text(Entry::BEFORE), array_keys($steps), true);
        if ($place === false) {
            return self::insertAfter($steps, $line->step, $line->orders);
        }

        return array_slice($steps, 0, $place) + self::indexed($line->orders) + array_slice($steps, $place);
    }

    /**
     * @param  array<string, Step>  $steps
     * @param  list<Step>  $new
     * @return array<string, Step>
     */
    private static function insertAfter(array $steps, string $after, array $new): array
    {
        $result = [];
        foreach ($steps as $id => $step) {
            $result[$id] = $step;
            if ($id === $after) {
                $result = [...$result, ...self::indexed($new)];
            }
        }

        return $result;
    }
}
