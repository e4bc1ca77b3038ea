<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Rinse;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Steps\Checklist;

/** Stage 3: radiator and heater core flushed against the flow, each on its own. */
final class BackFlush extends Checklist
{
    private const PARTS = ['radiator' => 'Radiator', 'heater' => 'Heater core'];

    public function name(): string
    {
        return 'back_flush';
    }

    public function title(Situation $at): string
    {
        return 'Back-flush';
    }

    public function why(Situation $at): string
    {
        return 'Rust that keeps coming sits where the flow pressed it; only the other direction takes it out.';
    }

    public function instructions(Situation $at): array
    {
        return ['Both hoses off the part, a hose on its outlet, water against the usual flow until it runs clear.', 'Low pressure only: a heater core bursts where a radiator holds.', 'Catch the water: it is waste too.'];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Waste, Hazard::Overpressure];
    }

    protected function items(Situation $at): array
    {
        $kinds = array_map(fn ($passage) => $passage->kind, $at->circuit()->passages);

        return array_map(fn (string $part) => "{$part}: runs clear against the flow", array_filter(self::PARTS, fn (string $kind) => in_array($kind, $kinds, true), ARRAY_FILTER_USE_KEY));
    }

    /** What stood in the part is water now. */
    public function ledger(Situation $at, Entry $entry): array
    {
        $lines = [];
        foreach (self::PARTS as $kind => $part) {
            $labels = array_map(fn ($p) => $p->label, array_filter($at->circuit()->passages, fn ($p) => $p->kind === $kind));
            $kept = array_sum(array_intersect_key((array) $at->job->plan->predicted['retained'], array_flip($labels)));
            if ($entry->ticked($kind) && $kept > 0.0) {
                $lines[] = new Line("Flushed out: {$part}", -$kept, 0.25 * $kept, null);
                $lines[] = new Line("Water left in: {$part}", $kept, 0.25 * $kept, 0.0);
            }
        }

        return $lines;
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 25.0;
    }
}
