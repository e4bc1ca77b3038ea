<?php

declare(strict_types=1);

namespace Aqbel\Core\Sequence\Steps;

use Aqbel\Core\Coolant\Mix;
use Aqbel\Core\Fluid\Coolant;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Judgement\Judgement;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Run\Situation;
use Aqbel\Core\Sequence\Field;
use Aqbel\Core\Sequence\Figure;
use Aqbel\Core\Sequence\Form;
use Aqbel\Core\Sequence\Hazard;
use Aqbel\Core\Sequence\Obstacle;
use Aqbel\Core\Sequence\PlanInput;
use Aqbel\Core\Sequence\Stage;
use Aqbel\Core\Sequence\Step;
use Aqbel\Core\Sequence\StepKind;

/** Stage 5: the coolant to pour, from what is retained and what is wanted. The ratio that counts is the whole circuit's. */
final class MixStep extends StepKind
{
    private const SPARE = 1.15;

    public function name(): string
    {
        return 'mix';
    }

    public function title(Situation $at): string
    {
        return 'Mix the coolant';
    }

    public function why(Situation $at): string
    {
        $mix = $this->mix($at);

        return "{$at->litres($mix->retained->mL())} at {$at->say($mix->retainedFraction, Unit::Percent)} is still inside. The bucket is mixed so that the whole circuit lands on {$at->say($mix->targetFraction, Unit::Percent)}.";
    }

    public function instructions(Situation $at): array
    {
        $mix = $this->mix($at);
        $facts = $at->facts();
        $concentrate = $mix->glycol->mL() * self::SPARE;
        $water = $mix->water()->mL() * self::SPARE;

        return array_values(array_filter([
            "{$facts->base->label()}".($facts->inhibitor === '' ? '' : ", {$facts->inhibitor}").', concentrate, and distilled or deionised water. Family from the manual; colour proves nothing.',
            "In a clean bucket on a level bench: {$at->litres($concentrate)} concentrate and {$at->litres($water)} water, 15 % more than the circuit takes.",
            $mix->reachable() ? null : "Even so the circuit reaches only {$at->say($mix->finalFraction(), Unit::Percent)}: open another drain, or rinse less.",
            'Stir. What is left over is labelled with strength, family and date.',
        ]));
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Glycol];
    }

    public function forms(Situation $at): array
    {
        return [new Form('batch', 'Record batch', [Field::volume('concentrate', 'Concentrate', 3.0 * $at->circuit()->capacityMl()), Field::volume('water', 'Water', 3.0 * $at->circuit()->capacityMl())])];
    }

    /** @param  array<string, mixed>  $values */
    public function admit(Situation $at, string $form, array $values): void
    {
        if ($values['concentrate'] + $values['water'] <= 0.0) {
            throw new InvalidField('concentrate', 'Enter how much of each went into the bucket.');
        }
    }

    public function obstacles(Situation $at): array
    {
        return $at->has('batch') ? [] : [Obstacle::missing('Record what was mixed.')];
    }

    public function figure(Situation $at): Figure
    {
        $fraction = self::batchFraction($at->seenFrom($at->step));

        return new Figure($fraction === null ? 'Mix the bucket to' : 'Bucket', $fraction ?? $this->mix($at)->bucketFraction(), Unit::Percent,
            $fraction === null ? Figure::PREDICTED : Figure::MEASURED, $this->mix($at)->bucketFraction(), 'wanted');
    }

    public function judge(Situation $at): ?Judgement
    {
        $fraction = self::batchFraction($at);
        if ($fraction === null) {
            return null;
        }
        $mix = $this->mix($at);
        $final = ($mix->room->mL() * $fraction + $mix->retained->mL() * $mix->retainedFraction) / $mix->capacity->mL();
        $coolant = new Coolant($at->facts()->base, min(1.0, $final));
        $freeze = ($coolant->freezeIsBound() ? 'below ' : '').$at->degrees($coolant->freezePoint()->degC());
        $text = "The circuit will stand at {$at->say($final, Unit::Percent)}: freezes at {$freeze}.";
        if ($final > 0.6) {
            return Judgement::wait('Stronger than 60 %', "{$text} More glycol is not better: it carries less heat. Add water.");
        }

        return abs($final - $mix->targetFraction) <= 0.03
            ? Judgement::pass('On target', $text)
            : Judgement::wait('Off by '.$at->say(abs($final - $mix->targetFraction), Unit::Percent), "{$text} Add ".($final < $mix->targetFraction ? 'concentrate' : 'water').' and record the whole batch again.');
    }

    /** Strength of all batches recorded in the job, for whatever is poured afterwards. */
    public static function batchFraction(Situation $at): ?float
    {
        foreach ($at->job->stepsOf('mix') as $step) {
            $last = $at->seenFrom($step)->last('batch');
            if ($last !== null) {
                return $last->number('concentrate') / ($last->number('concentrate') + $last->number('water'));
            }
        }

        return null;
    }

    public function handsOnMinutes(Step $step, PlanInput $input): float
    {
        return 6.0;
    }

    private function mix(Situation $at): Mix
    {
        $ledger = $at->job->ledgerBefore(Stage::Fill);
        $capacity = $ledger->capacityMl - $ledger->headspaceMl;
        $retained = max(0.0, min($capacity, $ledger->contentMl));

        return new Mix(Volume::millilitres($capacity), Volume::millilitres($retained), $ledger->fraction() ?? 0.0, $at->job->plan->input->targetFraction);
    }
}
