<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Vacuum;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\NeckHeat;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Tone;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Opening;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Vacuum\PressureHold;
use Aqbel\Core\Vacuum\PressureReading;
use Aqbel\Core\Vacuum\PressureVerdict;
use Aqbel\Core\Values;

/** Stages 7 and 10: pumped up and held, never above the cap. Offered; it may be declined. */
final class PressureTest extends StepKind
{
    /** Hoses give so much in five minutes without a leak, kPa (common practice, no source). */
    private const HOSES_KPA = 2.0;

    private const MINUTE_S = 60.0;

    private const GAUGE_KPA = 2.0;

    /** The change of the reading counts, not where it starts, °C. */
    private const COLD_C = 20.0;

    /** A weep needs so long to show, s (common practice, no source). */
    private const LEAST_S = 300.0;

    /** Enough to show a drip, whatever the cap would stand, kPa (common practice, no source). */
    private const ENOUGH_KPA = 100.0;

    /** A pressure read half a kilopascal above the rating is the rating. */
    private const READING_KPA = 0.5;

    private const MOST_KPA = 400.0;

    /** Above this the circuit cools while it is held, and its pressure falls with it, °C (common practice, no source). */
    private const WARM_C = 35.0;

    private const LONGEST_S = 7200.0;

    public function name(): string
    {
        return 'pressure_test';
    }

    protected function doing(): array
    {
        return [Does::LoadsJoints, Does::Guards];
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
        $to = $cap === null
            ? 'no more than the cap rating'
            : $at->say(min($cap, self::ENOUGH_KPA), Dimension::Pressure).', never above the cap rating';

        return [
            "Engine cold. Tester on the neck, pump to {$to}.",
            'Hold five minutes, look along every joint that was opened.',
            'Let the pressure off before the tester comes off.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Overpressure];
    }

    public function asks(Situation $at): array
    {
        return [
            new Form('test', 'Record test', [
                Field::pressure('start', 'Pumped to', self::MOST_KPA),
                Field::pressure('minute', 'After one minute', self::MOST_KPA, false),
                Field::pressure('end', 'Stood at', self::MOST_KPA),
                Field::duration('held', 'Held for', Unit::Minute, self::LONGEST_S)->preset(self::LEAST_S),
                self::coolantField($at),
            ]),
            new Form('declined', 'Not done', [Field::text('why', 'Why', true)], false),
        ];
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        if ($form === 'test' && $values->number('ect') !== null) {
            Opening::admit($at, 'ect', (float) $values->number('ect'));
        }
        $cap = $at->facts()->capKpa;
        if ($form === 'test' && $cap !== null && $values->number('start') > $cap + self::READING_KPA) {
            throw new InvalidField(
                'start',
                "That is above the cap rating of {$at->say($cap, Dimension::Pressure)}. Let it off, pump no higher "
                    .'than the cap, and record that test.',
            );
        }
        $minute = $values->number('minute');
        if ($form === 'test' && $minute !== null && ($values->number('held') ?? 0.0) <= self::MINUTE_S) {
            throw new InvalidField('held', 'Held for no longer than the minute after which it was read. Enter the '
                .'whole time held.');
        }
        if ($form === 'test' && $minute !== null && $values->number('end') > $minute) {
            throw new InvalidField('end', 'It cannot stand higher than after the first minute. Read both again.');
        }
        if ($form === 'test' && max($values->number('end') ?? 0.0, $minute ?? 0.0) > $values->number('start')) {
            throw new InvalidField(
                'end',
                'It cannot stand higher than it was pumped, unless the engine was warm. Test cold and enter both '
                    .'readings.',
            );
        }
    }

    public function obstacles(Situation $at): array
    {
        $tone = $at->has('test') ? $this->judge($at)?->tone : null;

        return match (true) {
            $at->has('declined') => [],
            ! $at->has('test') => [Obstacle::missing('no_test', 'Record the test, or say why it is not done.')],
            $tone === Tone::Wait => [Obstacle::missing('too_short', 'Pump it up cold and hold it five minutes, and '
                .'record that test.')],
            $tone === Tone::Stop => [Obstacle::missing('falls', 'The pressure falls: find the drip and test again.')],
            default => [],
        };
    }

    public function figure(Situation $at): Figure
    {
        $test = $at->last('test');

        return new Figure(
            'Pressure',
            $test?->number('end'),
            Dimension::Pressure,
            Origin::Measured,
            $test?->number('start'),
            'pumped to',
        );
    }

    public function judge(Situation $at): ?Verdict
    {
        $test = $at->last('test');
        if ($test === null) {
            $declined = $at->last('declined');

            return $declined === null ? null : Verdict::wait('declined', 'Not done', $declined->text('why'));
        }
        $drop = $test->number('start') - $test->number('end');
        $fall = $at->say($drop, Dimension::Pressure);
        $hold = self::hold($at, $test);
        $asked = min($at->facts()->capKpa ?? self::ENOUGH_KPA, self::ENOUGH_KPA);
        // Hoses that gave are told from a loss by the third reading, as long as what stood then still was a test.
        $gave = $test->number('minute') !== null && $hold->verdict === PressureVerdict::Tight
            && $test->number('end') >= PressureHold::COUNTS_FROM * $asked;
        $falls = $drop > self::HOSES_KPA && ! $gave;

        return match (true) {
            $test->number('start') < PressureHold::COUNTS_FROM * $asked => Verdict::wait(
                'no_test',
                'No test yet',
                "{$at->say((float) $test->number('start'), Dimension::Pressure)} is too little to show a weep: pump "
                    ."to {$at->say($asked, Dimension::Pressure)}, and look at the unit.",
            ),
            $falls => Verdict::stop(
                'falls',
                "Falls {$fall}",
                'Look for the drip: drains just used, clamps, the repair.',
            ),
            $test->number('ect') > self::WARM_C => Verdict::wait(
                'warm',
                'Holds, warm',
                "At {$at->degrees((float) $test->number('ect'))} it cools while it is held and a weep hides in that: "
                    .'it shows a burst, no more. Press it once more when it is cold.',
            ),
            $test->number('held') < self::LEAST_S => Verdict::wait(
                'too_short',
                'Too short',
                'It holds, but a weep needs five minutes to show.',
            ),
            default => Verdict::pass(
                'holds',
                'Holds',
                "A fall of {$fall} is hoses giving. No loss above "
                    ."{$at->say($hold->boundMlPerMinute, Unit::Millilitre)} a minute.",
            ),
        };
    }

    /** How warm it is, where it has run and nobody has read it cold since. */
    private static function coolantField(Situation $at): ?Field
    {
        $read = NeckHeat::readSinceItRan($at);
        // Water that was run to rinse has gone, and what came after it was cold.
        $filled = array_filter($at->job->stepsThat(Does::RunsEngine), fn (Step $step) => $step->stage->value >= Stage::RunHot->value);
        $ran = array_filter($filled, fn (Step $step) => $at->job->kinds->of($step)->ran($at->seenFrom($step)) !== null);

        return $ran === [] || ($read !== null && $read <= self::WARM_C) ? null : Field::coolant('ect', 'Coolant now');
    }

    /** At one temperature: a cold engine, and a few minutes. */
    private static function hold(Situation $at, Entry $test): PressureHold
    {
        $cold = Temperature::celsius(self::COLD_C);
        $read = fn (float $second, string $field): PressureReading => new PressureReading(
            $second,
            Pressure::kilopascals((float) $test->number($field)),
            $cold,
        );
        $held = max(1.0, (float) $test->number('held'));
        $minute = $test->number('minute') === null ? [] : [$read(self::MINUTE_S, 'minute')];

        return new PressureHold(
            [$read(0.0, 'start'), ...$minute, $read($held, 'end')],
            Pressure::kilopascals(min($at->facts()->capKpa ?? self::ENOUGH_KPA, self::ENOUGH_KPA)),
            Plan::of($at)->choices->atmosphere()->pressure,
            max($at->job->ledger()->headspaceMl, 0.0),
            Pressure::kilopascals(self::GAUGE_KPA),
        );
    }
}
