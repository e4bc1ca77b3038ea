<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Vacuum;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Fill\Poured;
use Aqbel\Core\Vacuum\VacuumProgress;

/** Stage 7: the vacuum draws the coolant in; the needle tells how much more it will take. */
final class VacuumFill extends Poured
{
    /** What is left of the old coolant is as warm as the shop. */
    private const SHOP_C = 20.0;

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
            'Needle at zero and hoses round again: full. Then top up the neck.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Collapse, Hazard::Glycol];
    }

    public function forms(Situation $at): array
    {
        return [new Form('poured', 'Record what went in', [
            ...$this->vesselFields($at, 'volume', 'Drawn in since the last reading', VesselUse::Mix),
            Gauge::field($at, 'Gauge shows now'),
        ])];
    }

    public function obstacles(Situation $at): array
    {
        return match (true) {
            $this->atZero($at) => [],
            $at->has('poured') => [
                Obstacle::missing('not_at_zero', 'The needle is not at zero: the circuit still takes coolant.'),
            ],
            default => [Obstacle::missing('no_volume', 'Record what the vacuum drew in.')],
        };
    }

    public function figure(Situation $at): Figure
    {
        $progress = $this->progress($at);
        $left = $progress?->remaining->mL() ?? max(0.0, $this->expected($at) - $this->netIn($at));

        return new Figure('Still to come', $this->atZero($at) ? 0.0 : $left, Dimension::Volume,
            $progress === null ? Origin::Predicted : Origin::Measured, 0.0, 'needle at zero');
    }

    public function judge(Situation $at): ?Verdict
    {
        if (! $at->has('poured')) {
            return null;
        }
        $in = $at->litres($at->sum('poured', 'volume'));
        if ($this->atZero($at)) {
            return Verdict::pass('full', 'Full', "{$in} drawn in. Top up the neck.");
        }
        $progress = $this->progress($at);

        return Verdict::wait('filling', 'Filling', $progress === null
            ? "{$in} in. The needle must fall before it tells what is left."
            : "{$in} in, {$at->say($progress->filledFraction, Unit::Percent)} of the void. Have "
                ."{$at->litres($progress->remaining->mL())} more ready.");
    }

    private function progress(Situation $at): ?VacuumProgress
    {
        $pull = $at->job->before($at->step, 'hold') ?? $at->job->before($at->step, 'pull');
        $start = $pull === null ? null : $at->seenFrom($pull)->last('reading')?->number('vacuum');
        $now = $at->last('poured')?->number('vacuum');
        $in = $at->sum('poured', 'volume');
        if ($start === null || $now === null || $in <= 0.0) {
            return null;
        }
        $vapour = $at->facts()->coolant()->vapourPressure(Temperature::celsius(self::SHOP_C));
        try {
            return VacuumProgress::judge(
                Gauge::air($at),
                Pressure::kilopascals($start),
                Pressure::kilopascals($now),
                Volume::millilitres($in),
                $vapour,
            );
        } catch (InvalidField) {
            return null;
        }
    }

    private function atZero(Situation $at): bool
    {
        $now = $at->last('poured')?->number('vacuum');

        return $now !== null && $now <= Gauge::resolution($at)->kPa();
    }
}
