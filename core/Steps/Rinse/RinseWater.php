<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Rinse;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Ledger\Line;

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
}
