<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Prepare;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Table;
use Aqbel\Core\Steps\StepKind;

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
            Field::temperature('fan_off', 'Fan went off at', false),
            Field::temperature('outside', 'Air outside', false, -40, 55),
            ...array_map(fn (string $outlet) => Field::temperature("outlet_{$outlet}", "Outlet air, {$outlet}", false), $at->facts()->outlets),
        ])];
    }

    /**
     * The baseline beside the same readings of the last hot run.
     *
     * @return list<Table>
     */
    public static function comparison(Situation $at): array
    {
        $before = $at->job->lastOf('baseline', 'baseline');
        if ($before === null || $before->text('ran') === 'no') {
            return [];
        }
        $runs = array_filter($at->job->stepsOf('heat_cycle'), fn (Step $s) => $at->job->entriesOf($s->id, 'reading') !== []);
        $now = $runs === [] ? [] : $at->job->entriesOf(end($runs)->id);
        $say = fn (?float $celsius) => $celsius === null ? '–' : $at->degrees($celsius);
        $names = ['plateau' => ['ect', 'Coolant settled at'], ...array_combine(array_map(fn (string $o) => "outlet_{$o}", $at->facts()->outlets), array_map(fn (string $o) => ["outlet_{$o}", "Outlet air, {$o}"], $at->facts()->outlets))];
        $last = null;
        $fan = ['fan_on' => null, 'fan_off' => null];
        foreach ($now as $entry) {
            $last = $entry->form === 'reading' ? $entry : $last;
            if (array_key_exists($entry->form, $fan)) {
                $fan[$entry->form] = $last?->number('ect');
            }
        }
        $rows = [];
        foreach ($names as $was => [$is, $label]) {
            $rows[] = [$label, $say($before->number($was)), $say($last?->number($is))];
        }
        foreach (['fan_on' => 'Fan on', 'fan_off' => 'Fan off'] as $name => $label) {
            $rows[] = [$label, $say($before->number($name)), $say($fan[$name])];
        }

        return [new Table('Against the baseline', ['Reading', 'Before', 'Now'], array_values(array_filter($rows, fn (array $row) => $row[1] !== '–' || $row[2] !== '–')))];
    }

    public function obstacles(Situation $at): array
    {
        return $at->has('baseline') ? [] : [Obstacle::missing('Take the readings, or record that the engine was not run.')];
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 3.0;
    }
}
