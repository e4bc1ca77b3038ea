<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\RoutineLine;
use Aqbel\Core\Heat\Purging;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Groundwork;
use Aqbel\Core\Plan\Misfit;
use Aqbel\Core\Plan\PlannedPour;
use Aqbel\Core\Plan\PredictedFill;
use Aqbel\Core\Values;

/**
 * What the vehicle's manual has for itself, such as a service mode of its electric coolant pump: typed once, run line
 * by line.
 */
final class ManualRoutine extends Poured
{
    public function id(): string
    {
        return 'manual';
    }

    public function label(): string
    {
        return 'The manual’s own routine';
    }

    public function catch(): string
    {
        return 'As good as what was typed; an estimate.';
    }

    public function followsTheManual(): bool
    {
        return true;
    }

    public function runs(): bool
    {
        return true;
    }

    public function whyNot(Circuit $circuit, Choices $choices): ?Misfit
    {
        return $circuit->facts->routine === []
            ? new Misfit(
                'no_routine',
                'has no routine typed into its circuit',
                'Type the manual’s routine into the circuit, one step a line, then plan again.',
            )
            : null;
    }

    public function pours(Circuit $circuit, Choices $choices): array
    {
        return [
            PlannedPour::atTheNeck($circuit, $this->bleeds($circuit, $choices), $choices->headMm, $choices->noseLiftMm),
        ];
    }

    /** A running pump works air out about as a warm-up does. */
    public function predict(Groundwork $on): PredictedFill
    {
        return parent::predict($on)->leaving(Purging::leftByCycle($on->choices->rules->purgingFactor));
    }

    public function steps(Groundwork $on, PredictedFill $fill): array
    {
        $routine = new RoutineSteps($on->circuit);
        if ($routine->hasParts()) {
            return $routine->filling(parent::steps($on, $fill));
        }
        $lines = array_map(fn (RoutineLine $line) => $line->text, $on->circuit->facts->routine);
        $steps = [];
        foreach (parent::steps($on, $fill) as $step) {
            $steps[] = $step;
            if ($step->kind === 'fill_level') {
                $steps[] = new Step('routine', 'routine', Stage::Fill, new Values(['lines' => $lines]));
            }
        }

        return $steps;
    }

    public function bleeds(Circuit $circuit, Choices $choices): array
    {
        return (new RoutineSteps($circuit))->bleeds();
    }

    public function rounds(Circuit $circuit): ?array
    {
        return (new RoutineSteps($circuit))->rounds();
    }
}
