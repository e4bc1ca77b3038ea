<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Rinse;

use Aqbel\Core\Circuit\Gate;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;

/** Stage 3: cold water through the open circuit, no warm-up. */
final class RinseFlow extends StepKind
{
    public function name(): string
    {
        return 'rinse_flow';
    }

    public function title(Situation $at): string
    {
        return 'Cold flow-through';
    }

    public function why(Situation $at): string
    {
        return 'No heat and no wait; it rinses only where the water runs.';
    }

    public function instructions(Situation $at): array
    {
        return ['Drains and top bleed points open, heater full hot, water in at the top until it runs clear below.', self::leaves($at), 'Stop the water, let it run out, close every point.', 'Write down what went in and what came out; the difference stays inside.'];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Waste];
    }

    public function forms(Situation $at): array
    {
        return [
            new Form('water_in', 'Record water in', $this->vesselFields($at, 'volume', 'Poured in', 'Mixing bucket, 0.25 L marks'), ! $at->has('water_in')),
            new Form('water_out', 'Record water out', [...$this->vesselFields($at, 'volume', 'Came out', 'Drain pan, 0.5 L marks'), Field::choice('runs', 'It runs', ['clear' => 'Clear', 'coloured' => 'Coloured', 'film' => 'With a film'], 'clear')], $at->has('water_in')),
        ];
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        $unsure = $at->rules()->plusMinusMl($entry->text('vessel'));

        return $entry->form === 'water_in' ? [new Line('Rinse water in', $entry->number('volume') ?? 0.0, $unsure, 0.0)] : [new Line('Rinse water out', -($entry->number('volume') ?? 0.0), $unsure, null)];
    }

    public function obstacles(Situation $at): array
    {
        return match (true) {
            ! $at->has('water_in') || ! $at->has('water_out') => [Obstacle::missing('Record the rinse water in and out.')],
            $at->last('water_out')?->text('runs') !== 'clear' => [Obstacle::missing('It does not run clear yet. Let more water through, or give a reason.')],
            default => [],
        };
    }

    public function judge(Situation $at): ?Verdict
    {
        $last = $at->last('water_out');
        if ($last === null) {
            return null;
        }
        $old = $at->say($at->job->ledgerBefore(Stage::CloseUp)->oldShare(), Unit::Percent);

        return $last->text('runs') === 'clear' ? Verdict::pass('Runs clear', "Old coolant about {$old} of the full circuit, if it mixed. ".self::leaves($at)) : Verdict::wait('Not clear yet', 'Let more water through.');
    }

    /** What a shut gate keeps from being rinsed, in words. */
    public static function leaves(Situation $at): string
    {
        $circuit = $at->circuit();
        $cut = array_map(fn (Gate $gate) => $circuit->passages[$gate->passage]->label, array_filter($circuit->gates, fn (Gate $gate) => $gate->kind === 'thermostat' && ! $gate->weeps));

        return $cut === [] ? 'The thermostat weeps here: a trickle passes it, no more.' : 'A shut thermostat leaves what lies behind it unrinsed: '.implode(', ', array_unique($cut)).'.';
    }
}
