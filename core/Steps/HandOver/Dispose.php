<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\HandOver;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\WasteSum;
use Aqbel\Core\Judged\WasteSumCode;
use Aqbel\Core\Observed\WasteTaken;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
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
        return [WasteTaken::asked(WasteSum::caughtMl($at))];
    }

    public function atOnce(Situation $at): Form
    {
        return $this->forms($at)[0];
    }

    public function judgement(Situation $at): ?WasteSum
    {
        return WasteSum::of($at);
    }

    public function judge(Situation $at): ?Verdict
    {
        $sum = $this->judgement($at);
        if ($sum === null) {
            return null;
        }
        [$taken, $caught] = [$at->litres($sum->takenMl), $at->litres($sum->caughtMl)];

        return match ($sum->code) {
            WasteSumCode::Foreign => Verdict::wait(
                $sum->code(),
                'More than came out',
                "{$taken} went into the drum, {$caught} came out here and was caught. "
                    .'Correct the figure; what came from another job is written down there.',
            ),
            WasteSumCode::Missing => Verdict::wait(
                $sum->code(),
                'Some of it is in no drum',
                "{$caught} came out and was caught, {$taken} went into the drum. "
                    .'Record the rest, or write what ran to the floor as spilled at the step where it did.',
            ),
        };
    }

    public function obstacles(Situation $at): array
    {
        return array_values(
            array_filter([
                $at->latest(WasteTaken::class) === null
                    ? Obstacle::missing('not_disposed', 'Record what went into the waste drum.')
                    : null,
                $this->judgement($at)?->code === WasteSumCode::Foreign
                    ? Obstacle::missing(
                        'foreign',
                        'More went into the drum than came out here: '
                            .'correct the figure, or say where the rest is from.',
                    )
                    : null,
            ]),
        );
    }
}
