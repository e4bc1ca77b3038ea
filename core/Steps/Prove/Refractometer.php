<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Prove;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Findings\Frost;
use Aqbel\Core\Steps\StepKind;

/** Stage 10: the freeze point of what is in it, against the plan. */
final class Refractometer extends StepKind
{
    public function name(): string
    {
        return 'refractometer';
    }

    protected function doing(): array
    {
        return [Does::Guards];
    }

    public function title(Situation $at): string
    {
        return 'Measure the mixture';
    }

    public function why(Situation $at): string
    {
        return 'The ledger says '.$at->say(
            $at->job->ledger()->fraction() ?? 0.0,
            Unit::Percent,
        ).'; the refractometer knows.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'A drop from the neck, coolant mixed by the drive. Read '
                .'the scale for '.mb_strtolower($at->facts()->base->label()).'.',
        ];
    }

    public function asks(Situation $at): array
    {
        return [new Form('freeze', 'Record freeze point', [Field::temperature('freeze', 'Freezes at', true, -70, 0)])];
    }

    public function atOnce(Situation $at): Form
    {
        return $this->forms($at)[0];
    }

    public function obstacles(Situation $at): array
    {
        return $at->has('freeze')
            ? array_filter([Frost::of($at)?->obstacle()])
            : [Obstacle::missing('no_reading', 'Record the freeze point.')];
    }

    public function figure(Situation $at): Figure
    {
        $wanted = new Mixture($at->facts()->base, Plan::of($at)->choices->targetFraction);

        return new Figure(
            'Freezes at',
            $at->last('freeze')?->number('freeze'),
            Dimension::Temperature,
            Origin::Measured,
            $wanted->freezePoint()->degC(),
            'planned',
        );
    }

    public function judge(Situation $at): ?Verdict
    {
        $freeze = $at->last('freeze')?->number('freeze');
        if ($freeze === null) {
            return null;
        }
        $fraction = Mixture::freezingAt($at->facts()->base, Temperature::celsius($freeze))->volumeFraction;
        $target = Plan::of($at)->choices->targetFraction;
        [$read, $planned] = [$at->say($fraction, Unit::Percent), $at->say($target, Unit::Percent)];
        if (abs($fraction - $target) <= Frost::REFRACTOMETER) {
            return Verdict::pass('as_planned', 'As planned', "{$read}, planned {$planned}.");
        }
        $next = $fraction < $target ? 'concentrate' : 'water';

        return Verdict::wait(
            'off_plan',
            'Off the plan',
            "{$read} instead of {$planned}. Make the next top-up {$next}, or accept it with a reason.",
        );
    }
}
