<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\HandOver;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\PortState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Observed\LevelSeen;
use Aqbel\Core\Plan\NextChange;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Steps\Findings\Frost;
use Aqbel\Core\Steps\StepKind;

/** Stage 11: the record is signed when nothing is missing, or what is missing has a reason. */
final class SignOff extends StepKind
{
    public function name(): string
    {
        return 'sign_off';
    }

    protected function doing(): array
    {
        return [Does::Signs];
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
        $passed = count(array_filter($at->job->closed, fn (Entry $e) => $e->is(Lines::Override)));
        $choices = Plan::of($at)->choices;

        return array_values(array_filter([
            'Read the ledger line and the verdicts once more.',
            $choices->drains === [] ? null : 'Next change of the coolant: '.NextChange::after($choices, $at->units).'.',
            $passed === 0
                ? 'No step was passed over.'
                : "{$passed} step(s) were passed with a reason; the reasons are on the record.",
        ]));
    }

    public function asks(Situation $at): array
    {
        return [new Form('remark', 'Keep remark', [Field::text('remark', 'Remark for the record', true)], false)];
    }

    public function obstacles(Situation $at): array
    {
        $missing = [];
        foreach ($at->job->openBefore($at->step) as $step) {
            $missing[] = Obstacle::missing("not_finished.{$step->id}", 'Not finished: '.$this->titleOf($at, $step));
        }
        foreach ($at->job->ports($at->now) as $port => $state) {
            if ($state !== PortState::Closed) {
                $missing[] = Obstacle::missing(
                    "not_closed.{$port}",
                    "{$at->circuit()->port($port)->label} is not recorded as closed.",
                );
            }
        }
        foreach ($at->job->steps as $step) {
            if (! $at->job->stillStands($step, $at->now)) {
                $now = $at->job->verdictOf($step, $at->now, $at->units)->title ?? 'not judged';
                $missing[] = Obstacle::missing(
                    "verdict_changed.{$step->id}",
                    "A correction changed a verdict: {$this->titleOf($at, $step)}, now “{$now}”.",
                );
            }
        }

        $frost = Frost::of($at)?->obstacle();
        $seen = $at->job->observedAnywhere(LevelSeen::class);
        $level = $seen === [] ? null : $seen[count($seen) - 1];

        return array_values(array_filter([
            ...$missing,
            $frost,
            $level === null || $level->atTheMark()
                ? null
                : Obstacle::missing('level', 'The last cold level was not at the mark.'),
        ]));
    }

    public function figure(Situation $at): Figure
    {
        $ledger = $at->job->ledger();
        $full = $ledger->capacityMl - $ledger->headspaceMl;

        return new Figure(
            'In the circuit',
            $ledger->contentMl,
            Dimension::Volume,
            Origin::Measured,
            $full,
            'full to the mark',
            $ledger->plusMinusMl,
        );
    }

    public function finishWord(): string
    {
        return 'Sign the record';
    }

    private function titleOf(Situation $at, Step $step): string
    {
        $kind = $at->job->kinds->of($step);

        return $kind instanceof StepKind ? $kind->title($at->seenFrom($step)) : $step->id;
    }
}
