<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Prove;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;

/** Stage 10: the freeze point of what is in it, against the plan. */
final class Refractometer extends StepKind
{
    public function name(): string
    {
        return 'refractometer';
    }

    public function title(Situation $at): string
    {
        return 'Measure the mixture';
    }

    public function why(Situation $at): string
    {
        return 'The ledger says '.$at->say($at->job->ledger()->fraction() ?? 0.0, Unit::Percent).'; the refractometer knows.';
    }

    public function instructions(Situation $at): array
    {
        return ['A drop from the neck, coolant mixed by the drive. Read the scale for '.mb_strtolower($at->facts()->base->label()).'.'];
    }

    public function forms(Situation $at): array
    {
        return [new Form('freeze', 'Record freeze point', [Field::temperature('freeze', 'Freezes at', true, -70, 0)])];
    }

    public function obstacles(Situation $at): array
    {
        return $at->has('freeze') ? [] : [Obstacle::missing('Record the freeze point.')];
    }

    public function figure(Situation $at): Figure
    {
        $wanted = new Mixture($at->facts()->base, $at->job->plan->input->targetFraction);

        return new Figure('Freezes at', $at->last('freeze')?->number('freeze'), Dimension::Temperature, Figure::MEASURED, $wanted->freezePoint()->degC(), 'planned');
    }

    public function judge(Situation $at): ?Verdict
    {
        $freeze = $at->last('freeze')?->number('freeze');
        if ($freeze === null) {
            return null;
        }
        $read = Mixture::freezingAt($at->facts()->base, Temperature::celsius($freeze))->volumeFraction;
        $target = $at->job->plan->input->targetFraction;

        return abs($read - $target) <= 0.05
            ? Verdict::pass('As planned', "{$at->say($read, Unit::Percent)}, planned {$at->say($target, Unit::Percent)}.")
            : Verdict::wait('Off the plan', "{$at->say($read, Unit::Percent)} instead of {$at->say($target, Unit::Percent)}. Make the next top-up ".($read < $target ? 'concentrate' : 'water').', or accept it with a reason.');
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 2.0;
    }
}
