<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Rinse;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Observed\RanThrough;

/** Rinse water into the circuit and out of it again. */
final class RinseWater
{
    /** @var array<string, string> how it runs out */
    public const RUNS = ['clear' => 'Clear', 'coloured' => 'Coloured', 'film' => 'With a film'];

    /** @return list<Line> */
    public static function lines(Entry $entry, float $plusMinusMl): array
    {
        $ml = $entry->number('volume') ?? 0.0;

        return match ($entry->form) {
            'water_in' => [new Line('Rinse water in', $ml, $plusMinusMl, 0.0)],
            'water_out' => [new Line('Rinse water out', -$ml, $plusMinusMl, null)],
            default => [],
        };
    }

    /**
     * Through and out again: what stays inside is as much as before, and water by so much as ran through.
     *
     * @param  float  $usualMl  where nobody says how much: it was all wet once
     * @return list<Line>
     */
    public static function through(RanThrough $water, float $usualMl): array
    {
        $ml = $water->aboutMl ?? $usualMl;

        return [new Line('Rinse water in', $ml, 0.0, 0.0), new Line('Rinse water out', -$ml, 0.0, null)];
    }
}
