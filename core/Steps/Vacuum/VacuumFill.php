<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Vacuum;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\Bucket;
use Aqbel\Core\Judged\Gauge;
use Aqbel\Core\Judged\VacuumDrawn;
use Aqbel\Core\Judged\VacuumDrawnCode;
use Aqbel\Core\Observed\NeedleRead;
use Aqbel\Core\Observed\Poured as Drawn;
use Aqbel\Core\Observed\VesselReading;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Table;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Poured;
use Aqbel\Core\Steps\TopUp;
use Aqbel\Core\Values;

/** Stage 7: the vacuum draws the coolant in; the needle tells how much more it will take. */
final class VacuumFill extends Poured
{
    /** No jug is filled to less than this. */
    private const HARDLY_ML = 20.0;

    public function name(): string
    {
        return 'vacuum_fill';
    }

    public function title(Situation $at): string
    {
        return 'Let the vacuum draw it in';
    }

    public function why(Situation $at): string
    {
        return 'What the needle still shows is room. Two readings and the volume between them give the room that '
            .'is left, by Boyle’s law.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Hose primed with coolant, no slug of air; its end held at the bottom of the bucket.',
            'Open slowly. Shut the valve before the bucket runs dry or is changed; the vacuum left waits.',
            'From jugs: one entry a jug, with what was in it. The needle then tells what the next one must be.',
            'Needle at zero and hoses round again: full. Then top up the neck.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Collapse, Hazard::Glycol];
    }

    public function observes(): array
    {
        return [Drawn::class, NeedleRead::class];
    }

    public function asks(Situation $at): array
    {
        return [new Form(Drawn::FORM, 'Record what went in', [
            ...VesselReading::fields($at, 'Drawn in since', VesselUse::Mix),
            ...NeedleRead::fields('Gauge shows now', Gauge::air($at)),
            TopUp::jugField($at),
        ])];
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        Needle::admit($at, $values);
    }

    public function judgement(Situation $at): ?VacuumDrawn
    {
        return VacuumDrawn::of($at);
    }

    /** What the next jug must hold, once the needle tells how much is still to come. */
    public function tables(Situation $at): array
    {
        $next = $this->next($at);
        if ($next === null || $this->judgement($at)?->isAtZero() === true) {
            return [];
        }
        $rows = [];
        if ($next->isReachable()) {
            $rows = array_values(array_filter([
                $next->stockMl() > self::HARDLY_ML ? ['Concentrate', $at->litres($next->stockMl())] : null,
                $next->waterMl() > self::HARDLY_ML ? ['Water', $at->litres($next->waterMl())] : null,
            ]));
        }
        [$low, $high] = $next->range();
        $rows[] = [
            'Still to come',
            $at->litres($low).' to '.($high === null ? 'more than the needle tells' : $at->litres($high)),
        ];

        return [
            new Table(
                'The next jug, so that all of it lands on '.$at->say($next->target, Unit::Percent),
                ['Liquid', 'Amount'],
                $rows,
            ),
        ];
    }

    private function next(Situation $at): ?NextJug
    {
        $drawn = $this->judgement($at);
        $full = $drawn?->isAtZero() === true;
        $remaining = $drawn?->progress?->remaining->mL();
        $ledger = $at->job->ledger();

        return ! $full && $remaining === null ? null : new NextJug(
            $ledger->contentMl,
            $ledger->fraction() ?? 0.0,
            $full ? 0.0 : (float) $remaining,
            max(0.0, $ledger->capacityMl - $ledger->headspaceMl - $ledger->contentMl),
            Plan::of($at)->choices->targetFraction,
            $full ? [0.0, 0.0] : $drawn->rangeMl ?? [0.0, null],
        );
    }

    public function obstacles(Situation $at): array
    {
        return match ($this->judgement($at)?->code) {
            null => [Obstacle::missing('no_volume', 'Record what the vacuum drew in.')],
            VacuumDrawnCode::Full, VacuumDrawnCode::AirCameIn => [],
            VacuumDrawnCode::NeedleDeeper, VacuumDrawnCode::NeedleStands => [
                Obstacle::missing(
                    'needle_cannot_be',
                    'Needle and volume cannot both be right: read the needle again, or correct what went in.',
                ),
            ],
            VacuumDrawnCode::Filling => [
                Obstacle::missing('not_at_zero', 'The needle is not at zero: the circuit still takes coolant.'),
            ],
        };
    }

    public function figure(Situation $at): Figure
    {
        $drawn = $this->judgement($at);
        $progress = $drawn?->progress;
        $left = $progress?->remaining->mL() ?? max(0.0, VacuumDrawn::expectedMl($at) - ($drawn->drawnMl ?? 0.0));

        return new Figure('Still to come', $drawn?->isAtZero() === true ? 0.0 : $left, Dimension::Volume,
            $progress === null ? Origin::Predicted : Origin::Measured, 0.0, 'needle at zero');
    }

    public function judge(Situation $at): ?Verdict
    {
        $drawn = $this->judgement($at);
        if ($drawn === null) {
            return null;
        }
        $in = $at->litres($drawn->drawnMl);
        $missed = $this->next($at)?->missed($at) ?? '';
        $progress = $drawn->progress;

        return match (true) {
            $drawn->code === VacuumDrawnCode::AirCameIn => Verdict::wait(
                $drawn->code(),
                'Air came in',
                "The needle is at zero with {$in} in, and {$at->litres($drawn->expectedMl)} was to be drawn: "
                    .'the hose took air, or the valve stood open. Pull again, or pour the rest at '
                    .'the neck and let the warm-ups bring the air out.',
            ),
            $drawn->code === VacuumDrawnCode::NeedleDeeper => Verdict::wait(
                $drawn->code(),
                'Deeper than before',
                'Coolant that comes in lets the needle fall, never rise. Read it again, or correct the reading before.',
            ),
            $drawn->code === VacuumDrawnCode::NeedleStands => Verdict::wait(
                $drawn->code(),
                'The needle stands',
                "{$in} in, and the needle hardly moved: it cannot be both. Read it again with the valve shut, "
                    .'or correct what went in.',
            ),
            $drawn->code === VacuumDrawnCode::Full && $missed === '' => Verdict::pass(
                'full',
                'Full',
                "{$in} drawn in. Top up the neck.",
            ),
            $drawn->code === VacuumDrawnCode::Full => Verdict::wait(
                'full_missed',
                'Full, and off target',
                "{$in} drawn in. {$missed}",
            ),
            $missed !== '' => Verdict::wait('missed', 'It will miss its target', $missed),
            default => Verdict::wait('filling', 'Filling', $progress === null
                ? "{$in} in. The needle must fall before it tells what is left."
                : "{$in} in, {$at->say($progress->filledFraction, Unit::Percent)} of the void. Have "
                    ."{$at->litres($progress->remaining->mL())} more ready".$this->ofWhat($at).'.'),
        };
    }

    /** What the next jug is made of, where no bucket was mixed for it. */
    private function ofWhat(Situation $at): string
    {
        $next = Bucket::batch($at->job)->ml > 0.0 ? null : $this->next($at);

        return $next === null
            ? ''
            : ": {$at->litres($next->stockMl())} concentrate and {$at->litres($next->waterMl())} water";
    }
}
