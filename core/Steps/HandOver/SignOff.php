<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\HandOver;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\NextChange;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Steps\StepKind;

/** Stage 11: the record is signed when nothing is missing, or what is missing has a reason. */
final class SignOff extends StepKind
{
    public function name(): string
    {
        return 'sign_off';
    }

    public function title(Situation $at): string
    {
        return 'Sign off';
    }

    public function why(Situation $at): string
    {
        return 'After this the record stands as it is.';
    }

    public function instructions(Situation $at): array
    {
        $passed = array_filter($at->job->closed, fn (Entry $e) => $e->form === JobState::OVERRIDE);

        return ['Read the ledger line and the verdicts once more.', ...$at->job->plan->input->drains === [] ? [] : ['Next change of the coolant: '.NextChange::after($at->job->plan->input, $at->units).'.'], $passed === [] ? 'No step was passed over.' : count($passed).' step(s) were passed with a reason; the reasons are on the record.'];
    }

    public function forms(Situation $at): array
    {
        return [new Form('remark', 'Keep remark', [Field::text('remark', 'Remark for the record', true)], false)];
    }

    public function obstacles(Situation $at): array
    {
        $missing = [];
        foreach ($at->job->openBefore($at->step) as $step) {
            $missing[] = Obstacle::missing('Not finished: '.StepCatalogue::of($step)->title($at->seenFrom($step)));
        }
        foreach ($at->job->ports($at->now) as $port => $state) {
            if ($state !== 'closed') {
                $missing[] = Obstacle::missing("{$at->circuit()->port($port)->label} is not recorded as closed.");
            }
        }
        foreach ($at->job->wasCorrected() ? $at->job->closed : [] as $id => $entry) {
            $step = $at->job->steps[$id];
            $verdict = $at->job->verdictOf($step, $at->now);
            if ($entry->form === JobState::FINISH && ($entry->values['verdict'] ?? null) !== $verdict) {
                $missing[] = Obstacle::missing('A correction changed a verdict: '.StepCatalogue::of($step)->title($at->seenFrom($step)).", was “{$entry->text('verdict')}”, now “{$verdict}”.");
            }
        }

        return $missing;
    }

    public function figure(Situation $at): Figure
    {
        $ledger = $at->job->ledger();

        return new Figure('In the circuit', $ledger->contentMl, Dimension::Volume, Figure::MEASURED, $ledger->capacityMl - $ledger->headspaceMl, 'full to the mark', $ledger->plusMinusMl);
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 3.0;
    }
}
