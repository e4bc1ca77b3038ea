<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/**
 * A gate can shut again: a closing holds only while what it rested on holds. A line corrected, taken back or added
 * later judges its step again; one that no longer passes is in hand again, and so is every gate behind it.
 */
final class Reopening
{
    /** @return array<string, Entry> the line that did it, by step */
    public static function of(JobState $state): array
    {
        $reopened = [];
        foreach ($state->steps as $id => $step) {
            foreach (self::changes($state, $id) as $line) {
                $closed = self::closedBefore($state, $id, $line);
                $putsRight = $line->kind()?->changesAnother() === true || $closed !== null;
                $reopened += $putsRight && $state->kinds->of($step)->does(Does::MovesCoolant)
                    ? self::restingOnIt($state, $id, $line)
                    : [];
                if ($closed !== null && self::falls($state, $step, $closed, $line)) {
                    $reopened += $state->closed[$id]->seq < $line->seq ? [$id => $line] : [];
                    $reopened += self::gatesBehind($state, $id, $line);
                }
            }
        }

        return $reopened;
    }

    /** @return list<Entry> lines that correct, take back or add to what stands at a step, in the order they arrived */
    private static function changes(JobState $state, string $step): array
    {
        $of = array_column($state->journal->lines, 'step', 'seq');
        $changes = [];
        foreach ($state->journal->lines as $line) {
            $corrects = $line->kind()?->changesAnother() === true;
            $about = $corrects ? $of[$line->values->whole('seq')] ?? $line->step : $line->step;
            if ($about === $step && ($corrects || ! $line->belongsToEveryStep())) {
                $changes[] = $line;
            }
        }

        return $changes;
    }

    private static function closedBefore(JobState $state, string $step, Entry $line): ?Entry
    {
        $closed = null;
        foreach ($state->entries as $entry) {
            $closed = $entry->closes() && $entry->step === $step && $entry->seq < $line->seq ? $entry : $closed;
        }

        return $closed;
    }

    /** Whether, with this line written, the step would not be closed as it was before. */
    private static function falls(JobState $state, Step $step, Entry $closed, Entry $line): bool
    {
        if ($closed->planned !== null) {
            return false; // left for another way: it was never said to be done
        }
        $then = array_values(array_filter($state->journal->lines, fn (Entry $other) => $other->seq <= $line->seq));
        $latest = max([$line->at, ...array_map(fn (Entry $other) => $other->at, $then)]);
        $at = self::seen($state, $step, $then, $latest);
        if ($at === null) {
            return false;
        }
        $kind = $state->kinds->of($step);
        $passedOver = Closing::of($closed)->missing;
        $until = array_values(array_filter($then, fn (Entry $other) => $other->seq < $closed->seq));
        $before = $passedOver === [] ? null : self::seen($state, $step, $until, $latest);
        $said = $before === null ? [] : array_column($kind->open($before), 'text', 'code');
        foreach ($kind->open($at) as $obstacle) {
            // What was passed over with a reason is what it said then.
            if (
                $obstacle->hard
                || ! in_array($obstacle->code, $passedOver, true)
                || $obstacle->text !== ($said[$obstacle->code] ?? null)
            ) {
                return true;
            }
        }
        $verdict = $kind->verdict($at);

        return $verdict !== null && ! $verdict->passes()
            && Closing::keptItsCode($closed) && Closing::of($closed)->cameTo !== $verdict->code;
    }

    /**
     * A step as such lines leave it, when it was in hand; null where the job has none such.
     *
     * @param  list<Entry>  $lines
     */
    private static function seen(JobState $state, Step $step, array $lines, int $now): ?Situation
    {
        $job = $state->withOnly($lines);

        return isset($job->steps[$step->id]) ? $job->asAt($step)->at($step, $now) : null;
    }

    /**
     * Steps behind that moved, mixed or judged coolant and would not be closed as they were with what was changed.
     *
     * @return array<string, Entry>
     */
    private static function restingOnIt(JobState $state, string $id, Entry $line): array
    {
        $fallen = [];
        foreach (array_slice($state->steps, $state->placeOf($state->steps[$id]) + 1) as $other => $step) {
            $kind = $state->kinds->of($step);
            $closed = self::closedBefore($state, $other, $line);
            $rests = $kind->does(Does::MovesCoolant) || $kind->does(Does::TouchesShelf);
            if (
                $rests
                && $closed !== null
                && $state->closed[$other]->seq < $line->seq
                && self::falls($state, $step, $closed, $line)
            ) {
                $fallen[$other] = $line;
            }
        }

        return $fallen;
    }

    /** @return array<string, Entry> */
    private static function gatesBehind(JobState $state, string $id, Entry $line): array
    {
        $behind = [];
        $passed = false;
        foreach ($state->steps as $other => $step) {
            $closed = $state->closed[$other] ?? null;
            if (
                $passed
                && $closed !== null
                && $closed->seq < $line->seq
                && $state->kinds->of($step)->does(Does::Guards)
            ) {
                $behind[$other] = $line;
            }
            $passed = $passed || $other === $id;
        }

        return $behind;
    }
}
