<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/**
 * A gate can shut again: a closing holds only while what it rested on holds. A line corrected, taken back or added later
 * judges its step again; one that no longer passes is in hand again, and so is every gate behind it.
 */
final class Reopening
{
    /** @return array<string, Entry> the line that did it, by step */
    public static function of(JobState $state): array
    {
        $reopened = [];
        foreach ($state->steps as $id => $step) {
            $line = self::lastChange($state, $id);
            $closed = $line === null ? null : self::closedBefore($state, $id, $line);
            if ($line === null || $closed === null || ! self::falls($state, $step, $closed)) {
                continue;
            }
            if ($state->closed[$id]->seq < $line->seq) {
                $reopened[$id] = $line;
            }
            $reopened += self::gatesBehind($state, $id, $line);
        }

        return $reopened;
    }

    /** The last line that corrects, takes back or adds to what stands at a step; null when there is none. */
    private static function lastChange(JobState $state, string $step): ?Entry
    {
        $of = array_column($state->journal->lines, 'step', 'seq');
        $last = null;
        foreach ($state->journal->lines as $line) {
            $changes = $line->form === Journal::CORRECT || $line->form === Journal::WITHDRAW;
            $about = $changes ? $of[$line->values->whole('seq')] ?? $line->step : $line->step;
            $last = $about === $step && ($changes || ! JobState::belongsToEveryStep($line)) ? $line : $last;
        }

        return $last;
    }

    private static function closedBefore(JobState $state, string $step, Entry $line): ?Entry
    {
        $closed = null;
        foreach ($state->entries as $entry) {
            $closed = JobState::closes($entry) && $entry->step === $step && $entry->seq < $line->seq ? $entry : $closed;
        }

        return $closed;
    }

    /** Whether the step would not be closed now as it was then. */
    private static function falls(JobState $state, Step $step, Entry $closed): bool
    {
        $latest = max(array_map(fn (Entry $line) => $line->at, $state->journal->lines));
        $at = $state->asAt($step)->at($step, $latest);
        $kind = $state->kinds->of($step);
        $passedOver = $closed->values->list('missing');
        foreach ($kind->open($at) as $obstacle) {
            if ($obstacle->hard || ! in_array($obstacle->code, $passedOver, true)) {
                return true;
            }
        }
        $verdict = $kind->verdict($at);

        return $verdict !== null && ! $verdict->passes()
            && $closed->values->has(JobState::CAME_TO) && $closed->text(JobState::CAME_TO) !== $verdict->code;
    }

    /** @return array<string, Entry> */
    private static function gatesBehind(JobState $state, string $id, Entry $line): array
    {
        $behind = [];
        $passed = false;
        foreach ($state->steps as $other => $step) {
            $closed = $state->closed[$other] ?? null;
            if ($passed && $closed !== null && $closed->seq < $line->seq && $state->kinds->of($step)->does(Does::Guards)) {
                $behind[$other] = $line;
            }
            $passed = $passed || $other === $id;
        }

        return $behind;
    }
}
