<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Vacuum;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;

/** Stages 7 and 10: pumped up and held, never above the cap. Offered; it may be declined. */
final class PressureTest extends StepKind
{
    private const HOSES_KPA = 2.0;

    private const LEAST_SECONDS = 300.0;

    public function name(): string
    {
        return 'pressure_test';
    }

    public function title(Situation $at): string
    {
        return 'Pressure test, cold';
    }

    public function why(Situation $at): string
    {
        return 'A leak found before the first start costs neither heat nor another cool-down.';
    }

    public function instructions(Situation $at): array
    {
        $cap = $at->facts()->capKpa;

        return [
            'Engine cold. Tester on the neck, pump to '.($cap === null ? 'no more than the cap rating' : $at->say(min($cap, 100.0), Dimension::Pressure).', never above the cap rating').'.',
            'Hold five minutes, look along every joint that was opened.',
            'Let the pressure off before the tester comes off.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Overpressure];
    }

    public function forms(Situation $at): array
    {
        return [
            new Form('test', 'Record test', [Field::pressure('start', 'Pumped to', 400), Field::pressure('end', 'Stood at', 400), Field::duration('held', 'Held for', Unit::Minute, 7200)]),
            new Form('declined', 'Not done', [Field::text('why', 'Why', true)], false),
        ];
    }

    /** @param  array<string, mixed>  $values */
    public function admit(Situation $at, string $form, array $values): void
    {
        $cap = $at->facts()->capKpa;
        if ($form === 'test' && $cap !== null && $values['start'] > $cap + 0.5) {
            throw new InvalidField('start', "That is above the cap rating of {$at->say($cap, Dimension::Pressure)}. Let it off, pump no higher than the cap, and record that test.");
        }
        if ($form === 'test' && $values['end'] > $values['start']) {
            throw new InvalidField('end', 'It cannot stand higher than it was pumped, unless the engine was warm. Test cold and enter both readings.');
        }
    }

    public function obstacles(Situation $at): array
    {
        return match (true) {
            $at->has('declined') => [],
            ! $at->has('test') => [Obstacle::missing('Record the test, or say why it is not done.')],
            $this->judge($at)?->tone === 'wait' => [Obstacle::missing('Hold it five minutes and record that test.')],
            $this->judge($at)?->tone === 'stop' => [Obstacle::missing('The pressure falls: find the drip and test again.')],
            default => [],
        };
    }

    public function figure(Situation $at): Figure
    {
        $test = $at->last('test');

        return new Figure('Pressure', $test?->number('end'), Dimension::Pressure, Figure::MEASURED, $test?->number('start'), 'pumped to');
    }

    public function judge(Situation $at): ?Verdict
    {
        $test = $at->last('test');
        if ($test === null) {
            $declined = $at->last('declined');

            return $declined === null ? null : Verdict::wait('Not done', $declined->text('why'));
        }
        $drop = $test->number('start') - $test->number('end');

        if ($drop <= self::HOSES_KPA && $test->number('held') < self::LEAST_SECONDS) {
            return Verdict::wait('Too short', 'It holds, but a weep needs five minutes to show.');
        }

        return $drop <= self::HOSES_KPA
            ? Verdict::pass('Holds', 'A fall of '.$at->say($drop, Dimension::Pressure).' is hoses giving.')
            : Verdict::stop('Falls '.$at->say($drop, Dimension::Pressure), 'Look for the drip: drains just used, clamps, the repair.');
    }

    public function waitingMinutes(Step $step, Choices $input): float
    {
        return 5.0;
    }
}
