<?php

declare(strict_types=1);

namespace Aqbel\Core\Sequence\Steps;

use Aqbel\Core\Fluid\Coolant;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Run\Entry;
use Aqbel\Core\Run\Situation;
use Aqbel\Core\Sequence\Field;
use Aqbel\Core\Sequence\Form;
use Aqbel\Core\Sequence\Hazard;
use Aqbel\Core\Sequence\Obstacle;
use Aqbel\Core\Sequence\PlanInput;
use Aqbel\Core\Sequence\Step;
use Aqbel\Core\Sequence\StepKind;

/** Stage 3: rinse when dirty, mixed or changing family; skip when clean. */
final class Rinse extends StepKind
{
    public function name(): string
    {
        return 'rinse';
    }

    public function title(Situation $at): string
    {
        return 'Rinse, or skip it';
    }

    public function why(Situation $at): string
    {
        return 'What stays in dilutes the new fill, so a rinse that is not needed does harm.';
    }

    public function instructions(Situation $at): array
    {
        $water = StopLimitAtNeck::boiling($at, Coolant::water(), 0.0);

        return [
            'Clean coolant, same family: skip.',
            "Hot rinse: water in, heater full hot, warm up, cool, drain. In an open funnel water boils at {$at->degrees($water)} here; most fans come on later, so do not wait for the fan.",
            'Cold flow-through: water in at the top, drains and vents open, until it runs clear. A shut gate leaves its branch unrinsed.',
            'Record the water that went in and what came out again; the rest is in the circuit and counts in the mixture.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Waste, Hazard::Scald];
    }

    public function forms(Situation $at): array
    {
        return [
            new Form('decision', 'Decide', [Field::choice('rinse', 'This circuit is', ['skip' => 'not rinsed', 'hot' => 'rinsed hot', 'flow' => 'rinsed cold, flow-through'], $this->dirty($at) ? 'hot' : 'skip')]),
            new Form('water_in', 'Water in', $this->vesselFields($at, 'volume', 'Water poured in', 'Mixing bucket, 0.25 L marks'), false),
            new Form('water_out', 'Water out', $this->vesselFields($at, 'volume', 'Water drained again', 'Drain pan, 0.5 L marks'), false),
        ];
    }

    public function obstacles(Situation $at): array
    {
        return match (true) {
            ! $at->has('decision') => [Obstacle::missing('Decide whether to rinse.')],
            $at->last('decision')?->text('rinse') === 'skip' && $this->dirty($at) => [Obstacle::missing('What came out was not clean. Rinse, or give a reason for skipping.')],
            $at->last('decision')?->text('rinse') !== 'skip' && ! $at->has('water_out') => [Obstacle::missing('Record the rinse water in and out.')],
            default => [],
        };
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        $unsure = $at->rules()->plusMinusMl($entry->text('vessel'));

        return match ($entry->form) {
            'water_in' => [new Line('Rinse water in', $entry->number('volume') ?? 0.0, $unsure, 0.0)],
            'water_out' => [new Line('Rinse water out', -($entry->number('volume') ?? 0.0), $unsure, null)],
            default => [],
        };
    }

    public function handsOnMinutes(Step $step, PlanInput $input): float
    {
        return 1.0;
    }

    private function dirty(Situation $at): bool
    {
        foreach ($at->job->stepsOf('look') as $look) {
            $seen = $at->seenFrom($look)->last('seen')?->text('coolant');
            if ($seen !== null && $seen !== 'clean') {
                return true;
            }
        }

        return false;
    }
}
