<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Rinse;

use Aqbel\Core\Circuit\Passage;
use Aqbel\Core\Circuit\PassageKind;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\TakenOff;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Steps\Checklist;

/** Stage 3: radiator and heater core flushed against the flow, each on its own. */
final class BackFlush extends Checklist
{
    /** How well the model knows what stood in a part. */
    private const UNSURE = 0.25;

    public function name(): string
    {
        return 'back_flush';
    }

    protected function doing(): array
    {
        return [Does::MovesCoolant, Does::TakesHosesOff];
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
        return [
            'Both hoses off the part, a hose on its outlet, water against the usual flow until it runs clear.',
            'Low pressure only'.($at->circuit()->hasHeater() ? ': a heater core bursts where a radiator holds.' : '.'),
            'Catch the water: it is waste too.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Waste, Hazard::Overpressure];
    }

    protected function items(Situation $at): array
    {
        $only = $at->step->params->list('parts');
        $there = array_filter(
            TakenOff::FLUSHED,
            fn (string $kind) => self::passages($at, $kind) !== [] && ($only === [] || in_array($kind, $only, true)),
            ARRAY_FILTER_USE_KEY,
        );

        return array_map(fn (string $part) => "{$part}: runs clear against the flow", $there);
    }

    public function orders(Situation $at): array
    {
        return RinsePart::after($at);
    }

    /** What stood in the part is water now. */
    public function ledger(Situation $at, Entry $entry): array
    {
        $lines = [];
        $retained = Plan::of($at)->predicted->retained;
        foreach (TakenOff::FLUSHED as $kind => $part) {
            $kept = array_sum(array_map(fn (Passage $p) => $retained->in($p->id), self::passages($at, $kind)));
            if ($entry->ticked($kind) && $kept > 0.0) {
                $lines[] = new Line("Flushed out: {$part}", -$kept, self::UNSURE * $kept, null);
                $lines[] = new Line("Water left in: {$part}", $kept, self::UNSURE * $kept, 0.0);
            }
        }

        return $lines;
    }

    /** @return array<string, Passage> */
    public static function passages(Situation $at, string $kind): array
    {
        return array_filter($at->circuit()->passages, fn (Passage $p) => $p->kind === PassageKind::from($kind));
    }
}
