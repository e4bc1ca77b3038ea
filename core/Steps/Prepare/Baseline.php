<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Prepare;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Steps\StepKind;

/** Stage 0: readings before the work, to hold the readings afterwards against. */
final class Baseline extends StepKind
{
    public function name(): string
    {
        return 'baseline';
    }

    protected function doing(): array
    {
        return [Does::RunsEngine];
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
            'Note where the temperature settles'.($at->facts()->fanOnC === null ? '' : ', when the fan comes on')
                .($at->facts()->outlets === [] ? '.' : ', and the air at each outlet with the heater on full.'),
            'If it cannot run, say so; that is an answer.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return $at->has('not_run') ? [] : [Hazard::Exhaust, Hazard::Moving];
    }

    public function asks(Situation $at): array
    {
        return [new Form('baseline', 'Record baseline', [
            self::ranField(),
            Field::temperature('plateau', 'Temperature settled at', false),
            ...$at->facts()->fanOnC === null ? [] : [Field::temperature('fan_on', 'Fan came on at', false), Field::temperature('fan_off', 'Fan went off at', false)],
            Field::temperature('outside', 'Air outside', false, -40, 55),
            ...array_map(
                fn (string $outlet) => Field::temperature("outlet_{$outlet}", "Outlet air, {$outlet}", false),
                $at->facts()->outlets,
            ),
        ]), self::notRunForm()];
    }

    /** Readings are taken at the step itself. */
    public function atOnce(Situation $at): Form
    {
        return self::notRunForm();
    }

    private static function notRunForm(): Form
    {
        return new Form('not_run', 'The engine was not run before the work', [], false, closes: true);
    }

    public function obstacles(Situation $at): array
    {
        return $at->has('baseline') || $at->has('not_run')
            ? []
            : [Obstacle::missing('no_baseline', 'Take the readings, or record that the engine was not run.')];
    }

    private static function ranField(): Field
    {
        return Field::choice('ran', 'Engine', [
            'no' => 'Not run: unsafe or not possible', 'outdoors' => 'Run outdoors', 'extraction' => 'Run on extraction',
        ], 'no');
    }

    public function ran(Situation $at): ?int
    {
        $ran = array_filter($at->entries('baseline'), fn (Entry $entry) => $entry->text('ran') !== 'no');

        return $ran === [] ? null : max(array_map(fn (Entry $entry) => $entry->at, $ran));
    }
}
