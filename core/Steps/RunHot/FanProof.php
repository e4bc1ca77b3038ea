<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\RunHot;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Saying\Field;

/** How often the fan came on and went off, counted only where coolant and clock make it possible. */
final class FanProof
{
    /** The fan is not heard below fan-on less this: sensors differ (common practice, no source). */
    private const SENSOR_OFF_C = 5.0;

    /** A fan that cools a hot radiator runs at least so long, s (common practice, no source). */
    private const LEAST_RUN_S = 20;

    private const HEARD = ['once' => 1, 'twice' => 2];

    /** Times in one run: timed by its own presses, or as they were heard. */
    public static function times(Situation $at): int
    {
        return max(self::timed($at), self::heard($at));
    }

    /** Whether it rests on what was heard, which is less than presses of its own. */
    public static function wasOnlyHeard(Situation $at): bool
    {
        return self::heard($at) > self::timed($at);
    }

    private static function timed(Situation $at): int
    {
        [$times, $since, $hottest] = [0, null, null];
        foreach ($at->entries() as $entry) {
            if ($entry->form === 'reading') {
                $hottest = max((float) $hottest, (float) $entry->number('ect'));
            }
            if ($entry->form === 'fan_on') {
                $since = $entry->at;
            }
            $ran = $entry->form === 'fan_off' && $since !== null && $entry->at - $since >= self::LEAST_RUN_S;
            if ($ran && self::isHot($at, $hottest)) {
                $times++;
                $since = null;
            }
        }

        return $times;
    }

    private static function heard(Situation $at): int
    {
        [$heard, $hottest] = [0, null];
        foreach ($at->entries() as $entry) {
            $hottest = $entry->form === 'reading' ? max((float) $hottest, (float) $entry->number('ect')) : $hottest;
            $counts = ByHand::isWarmedUp($entry) || ($entry->form === 'reading' && self::isHot($at, $hottest));
            $heard = max($heard, $counts ? self::HEARD[$entry->text('fan')] ?? 0 : 0);
        }

        return $heard;
    }

    /** Hot enough for the fan to come; where its temperature is not known, nothing speaks against it. */
    private static function isHot(Situation $at, ?float $hottest): bool
    {
        $fanOn = $at->facts()->fanOnC;

        return $fanOn === null || ($hottest !== null && $hottest >= $fanOn - self::SENSOR_OFF_C);
    }

    /** What is said of it with a reading: heard, not timed. */
    public static function heardField(): Field
    {
        return Field::choice('fan', 'Fan', ['none' => 'Not yet', 'once' => 'On and off once', 'twice' => 'Twice'], 'none')->optional();
    }

    public static function runs(Situation $at): bool
    {
        $fan = array_filter($at->entries(), fn (Entry $e) => $e->form === 'fan_on' || $e->form === 'fan_off');

        return $fan !== [] && $fan[array_key_last($fan)]->form === 'fan_on';
    }

    /** The hottest the coolant was read in a run, °C; null before a reading. */
    public static function hottest(Situation $at): ?float
    {
        $read = array_map(fn (Entry $e) => (float) $e->number('ect'), $at->entries('reading'));

        return $read === [] ? null : max($read);
    }

    /**
     * Whether the fan cannot be the proof here: somebody says so, or two whole runs stayed below fan-on without it.
     */
    public static function cannotCome(Situation $at): bool
    {
        $fanOn = $at->facts()->fanOnC;
        if ($fanOn === null || $at->has('no_fan')) {
            return true;
        }
        $without = 0;
        foreach ($at->job->stepsOf($at->step->kind) as $step) {
            $run = $at->seenFrom($step);
            $peak = self::hottest($run);
            $without += $run->has('shut_off') && $peak !== null && $peak < $fanOn && self::times($run) === 0 ? 1 : 0;
            if ($step->id === $at->step->id) {
                break;
            }
        }

        return $without >= 2;
    }
}
