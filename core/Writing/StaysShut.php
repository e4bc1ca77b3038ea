<?php

declare(strict_types=1);

namespace Aqbel\Core\Writing;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\NewLine;
use Aqbel\Core\Judged\NeckHeat;
use Aqbel\Core\Observed\Started;

/** A neck that may be under pressure is not put right into one that never was: it is read cold first. */
final class StaysShut
{
    /** So soon after a cold start no pressure has built, and it was the wrong press, s (common practice, no source). */
    private const WRONG_PRESS_S = 60;

    /**
     * @param  NewLine  $line  that corrects the entry
     *
     * @throws InvalidField where the neck would count as open by it
     */
    public static function assert(JobState $job, Entry $entry, NewLine $line, int $now, string $by): void
    {
        if ($now - $entry->at <= self::WRONG_PRESS_S || ! self::isSealed($job)) {
            return;
        }
        $last = $job->steps[(string) array_key_last($job->steps)];
        $after = $job->after($line->entry($job->journal->last() + 1, $now, $by));
        if (NeckHeat::mayBeUnderPressure($job->at($last, $now)) && ! self::isSealed($after)) {
            throw new InvalidField(
                Started::NECK,
                'It was told to run under its cap, and nobody has read it cold since: it stays shut, and counts as '
                    .'sealed. Let it cool and read it, then put this right.',
            );
        }
    }

    private static function isSealed(JobState $job): bool
    {
        return $job->running()->neck()?->holdsPressure() === true;
    }
}
