<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Vacuum;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Fill\Poured;
use Aqbel\Core\Vacuum\VacuumProgress;

/** Stage 7: the vacuum draws the coolant in; the needle tells how much more it will take. */
final class VacuumFill extends Poured
{
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
        return 'What the needle still shows is room. Two readings and the volume between them give the room that is left, by Boyle’s law.';
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
            ...$this->vesselFields($at, 'volume', 'Drawn in since the last reading', 'Mixing bucket, 0.25 L marks'),
            Field::vacuum('vacuum', 'Gauge shows now', $at->job->plan->input->atmosphere()->pressure->kPa() - 0.5),
        ])];
    }

    public function obstacles(Situation $at): array
    {
        return $this->atZero($at) ? [] : [Obstacle::missing($at->has('poured') ? 'The needle is not at zero: the circuit still takes coolant.' : 'Record what the vacuum drew in.')];
    }

    public function figure(Situation $at): Figure
    {
        $progress = $this->progress($at);

        return new Figure('Still to come', $this->atZero($at) ? 0.0 : ($progress?->remaining->mL() ?? max(0.0, $this->expected($at) - $this->netIn($at))), Dimension::Volume,
            $progress === null ? Figure::PREDICTED : Figure::MEASURED, 0.0, 'needle at zero');
    }

    public function judge(Situation $at): ?Verdict
    {
        if (! $at->has('poured')) {
            return null;
        }
        $in = $at->sum('poured', 'volume');
        if ($this->atZero($at)) {
            return Verdict::pass('Full', "{$at->litres($in)} drawn in. Top up the neck.");
        }
        $progress = $this->progress($at);

        return $progress === null
            ? Verdict::wait('Filling', "{$at->litres($in)} in. The needle must fall before it tells what is left.")
            : Verdict::wait('Filling', "{$at->litres($in)} in, {$at->say($progress->filledFraction, Unit::Percent)} of the void. Have {$at->litres($progress->remaining->mL())} more ready.");
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 10.0;
    }

    private function progress(Situation $at): ?VacuumProgress
    {
        $pull = $at->job->before($at->step, 'hold') ?? $at->job->before($at->step, 'pull');
        $start = $pull === null ? null : $at->seenFrom($pull)->last('reading')?->number('vacuum');
        $now = $at->last('poured')?->number('vacuum');
        if ($start === null || $now === null || $at->sum('poured', 'volume') <= 0.0) {
            return null;
        }
        try {
            return VacuumProgress::judge($at->job->plan->input->atmosphere(), Pressure::kilopascals($start), Pressure::kilopascals($now),
                Volume::millilitres($at->sum('poured', 'volume')), $at->facts()->coolant()->vapourPressure(Temperature::celsius(20.0)));
        } catch (InvalidField) {
            return null;
        }
    }

    private function atZero(Situation $at): bool
    {
        $now = $at->last('poured')?->number('vacuum');

        return $now !== null && $now <= Pressure::inchesOfMercury($at->rules()->gaugeResolutionInHg)->kPa();
    }
}
