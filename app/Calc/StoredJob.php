<?php

declare(strict_types=1);

namespace App\Calc;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Journal;
use Aqbel\Core\Plan\Format\PlanCodec;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Schools\SchoolCatalogue;
use Aqbel\Core\Steps\StepCatalogue;

/**
 * A job as `aqbel-job/1` carries it out of a shop: its plan and its
 * lines as they were stored, folded as the screens fold them.
 */
final class StoredJob
{
    /** @throws InvalidField naming what cannot be read */
    public static function state(Input $in): JobState
    {
        $codec = new PlanCodec(SchoolCatalogue::standard());
        $circuit = $in->circuit();
        $lines = array_map(fn (Input $line) => self::entry($line, $codec, $circuit), $in->objects('journal', 0));

        return new JobState(
            $circuit,
            self::plan($in, $codec, $circuit),
            StepCatalogue::standard(),
            new Journal($lines),
        );
    }

    /** When its newest line was written, Unix seconds. */
    public static function lastAt(Input $in): int
    {
        return max([
            0,
            ...array_map(fn (Input $line) => (int) $line->number('at', 0, 4.0e9), $in->objects('journal', 0)),
        ]);
    }

    private static function plan(Input $in, PlanCodec $codec, Circuit $circuit): Plan
    {
        try {
            return $codec->read($in->object('plan'), $circuit);
        } catch (\LogicException $broken) {
            throw new InvalidField('plan', "It cannot be read: {$broken->getMessage()}");
        }
    }

    private static function entry(Input $line, PlanCodec $codec, Circuit $circuit): Entry
    {
        $values = $line->has('values') ? $line->object('values') : [];
        $typed = $line->has('typed') ? array_filter($line->object('typed'), is_string(...)) : [];
        $person = $line->line('person', 120) ?? '';

        return Entry::stored(
            (int) $line->number('seq', 1, 1.0e6),
            (int) $line->number('at', 0, 4.0e9),
            $person,
            $line->line('step', 120) ?? '',
            $line->text('form'),
            $values,
            $typed,
            is_array($values[Entry::PLAN] ?? null) ? $codec->read($values[Entry::PLAN], $circuit) : null,
            $line->has('arrived') ? (int) $line->number('arrived', 0, 4.0e9) : null, $person,
        );
    }
}
