<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Drain;

use Aqbel\Core\Circuit\Part;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/**
 * What came out another way than through a drain point: a hose taken off, a part blown out, the recovery bottle, a spill. It
 * counts in the one balance over all of it.
 */
final class Elsewhere
{
    public const FORM = 'elsewhere';

    private const SPILL = 'spill';

    /** What it holds was never part of the circuit’s content. */
    public const BOTTLE = 'bottle';

    /** A spill on the floor is a guess, good to half of it (common practice, no source). */
    private const SPILL_UNSURE = 0.5;

    private const WAYS = [
        'hose' => 'A hose taken off', 'blown' => 'Blown out, low pressure', self::BOTTLE => 'Recovery bottle, siphoned',
        'sample' => 'A sample', self::SPILL => 'On the floor, estimated',
    ];

    /** @param  list<Field>  $vessel  volume and the vessel it was read in */
    public static function form(Situation $at, array $vessel, string $name = self::FORM): Form
    {
        $parts = array_map(fn (Part $part) => $part->label, $at->circuit()->parts());
        $ids = array_map(fn (Part $part) => $part->id, $at->circuit()->parts());

        return new Form($name, 'Came out another way', [
            Field::choice('way', 'Which way', self::WAYS, 'hose'),
            ...$vessel,
            Field::choice('part', 'Out of', ['' => 'Not known'] + array_combine($ids, $parts), '')->optional(),
        ], false);
    }

    public static function tellsOf(Entry $entry): bool
    {
        return $entry->form === self::FORM || $entry->is(Lines::Outlet);
    }

    /** @return list<Line> */
    public static function lines(Situation $at, Entry $entry, float $plusMinusMl): array
    {
        if (! self::tellsOf($entry)) {
            return [];
        }
        $ml = (float) $entry->number('volume');
        $guess = $entry->text('way') === self::SPILL ? self::SPILL_UNSURE * $ml : $plusMinusMl;
        $way = self::WAYS[$entry->text('way')] ?? $entry->text('way');

        return $entry->text('way') === self::BOTTLE ? [] : [new Line("Out: {$way}", -$ml, max($plusMinusMl, $guess), null)];
    }

    /** @return array<string, float> mL that came out of a part another way than down to a drain, by part */
    public static function byPart(JobState $job): array
    {
        $out = [];
        foreach ($job->entries as $entry) {
            $step = $job->steps[$entry->step] ?? null;
            $part = $entry->text('part');
            if ($part !== '' && $step !== null && $step->stage->value <= Stage::Drain->value) {
                $ml = array_sum(array_map(fn (Line $line) => -$line->ml, self::lines($job->at($step, $entry->at), $entry, 0.0)));
                $out[$part] = ($out[$part] ?? 0.0) + $ml;
            }
        }

        return $out;
    }
}
