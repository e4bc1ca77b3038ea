<?php

declare(strict_types=1);

namespace Aqbel\Core\Sequence\Steps;

use Aqbel\Core\Run\Situation;
use Aqbel\Core\Sequence\Field;
use Aqbel\Core\Sequence\Form;
use Aqbel\Core\Sequence\Hazard;
use Aqbel\Core\Sequence\Obstacle;
use Aqbel\Core\Sequence\PlanInput;
use Aqbel\Core\Sequence\Step;
use Aqbel\Core\Sequence\StepKind;

/** Stage 0: readings before the work, to hold the readings afterwards against. */
final class Baseline extends StepKind
{
    public function name(): string
    {
        return 'baseline';
    }

    public function title(Situation $at): string
    {
        return 'Baseline readings';
    }

    public function why(Situation $at): string
    {
        return 'The same readings are taken at the end. Without a baseline nobody can say what the repair changed.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Only if the engine can safely run: level good, no known leak, exhaust extraction on or outdoors.',
            'Note where the temperature settles, when the fan comes on, and the air at each outlet with the heater on full.',
            'If it cannot run, say so; that is an answer.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Exhaust, Hazard::Moving];
    }

    public function forms(Situation $at): array
    {
        return [new Form('baseline', 'Record baseline', [
            Field::choice('ran', 'Engine', ['no' => 'Not run: unsafe or not possible', 'outdoors' => 'Run outdoors', 'extraction' => 'Run on extraction'], 'no'),
            Field::temperature('plateau', 'Temperature settled at', false),
            Field::temperature('fan_on', 'Fan came on at', false),
            ...array_map(fn (string $outlet) => Field::temperature("outlet_{$outlet}", "Outlet air, {$outlet}", false), $at->facts()->outlets),
        ])];
    }

    public function obstacles(Situation $at): array
    {
        return $at->has('baseline') ? [] : [Obstacle::missing('Take the readings, or record that the engine was not run.')];
    }

    public function handsOnMinutes(Step $step, PlanInput $input): float
    {
        return 3.0;
    }
}
