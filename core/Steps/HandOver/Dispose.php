<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\HandOver;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Observed\WasteTaken;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Steps\StepKind;

/** Stage 11: old coolant and rinse water into the waste drum. */
final class Dispose extends StepKind
{
    public function name(): string
    {
        return 'dispose';
    }

    public function title(Situation $at): string
    {
        return 'Waste coolant';
    }

    public function why(Situation $at): string
    {
        return "{$at->litres($at->job->ledger()->outMl())} came out in this job.";
    }

    public function instructions(Situation $at): array
    {
        return [
            'Into the labelled drum for waste coolant, oily coolant apart. Local waste rules apply.',
            'Pans rinsed, floor wiped, labels on what is left over.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Waste, Hazard::Glycol];
    }

    public function observes(): array
    {
        return [WasteTaken::class];
    }

    public function asks(Situation $at): array
    {
        return [WasteTaken::asked(self::wasteMl($at))];
    }

    public function atOnce(Situation $at): Form
    {
        return $this->forms($at)[0];
    }

    /** What came out of the circuit and was caught; what went back to the batch is no waste. */
    private static function wasteMl(Situation $at): float
    {
        $out = array_filter($at->job->ledger()->lines, fn (Line $line) => $line->ml < 0.0 && ! $line->fromBatch && ! $line->lost);

        return -array_sum(array_map(fn (Line $line) => $line->ml, $out));
    }

    public function obstacles(Situation $at): array
    {
        return $at->latest(WasteTaken::class) !== null ? [] : [Obstacle::missing('not_disposed', 'Record what went into the waste drum.')];
    }
}
