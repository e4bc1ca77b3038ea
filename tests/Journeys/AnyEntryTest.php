<?php

declare(strict_types=1);

namespace Tests\Journeys;

use App\Calc\Input;
use App\Practice\Answers;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Plan\School;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\FieldType;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Schools\SchoolCatalogue;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Writing\Replanning;
use Aqbel\Core\Writing\Script;
use Aqbel\Core\Writing\ScriptLine;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Demo;

/**
 * Whatever is entered, a step can be shown: jobs of a technician drawn by lot, who mistypes a number, presses another
 * choice and leaves fields empty, on demo circuits and on layouts as they come.
 */
final class AnyEntryTest extends TestCase
{
    private const LAYOUTS = ['two_bleeds', 'hybrid_loop', 'upper_hose', 'no_bleed', 'large_engine', 'electric_pump'];

    private const TOOLS = ['refractometer', 'funnel', 'ramps', 'pressure_tester', 'vacuum_filler'];

    private const MOST_STEPS = 60;

    /** @return iterable<string, array{int}> */
    public static function lots(): iterable
    {
        for ($lot = 1; $lot <= 40; $lot++) {
            yield "lot {$lot}" => [$lot];
        }
    }

    #[DataProvider('lots')]
    public function test_every_step_of_it_can_be_shown(int $lot): void
    {
        mt_srand($lot);
        $layout = $lot % 2 === 0 ? null : self::oneOf(self::LAYOUTS);
        $circuit = $layout === null ? Demo::circuit(self::oneOf(Demo::keys())) : Demo::layout($layout);
        [$script, $kinds, $now, $shown] = [self::begun($circuit), StepCatalogue::standard(), 1_000_000, 0];
        for ($i = 0; $i < self::MOST_STEPS && ($step = $script->state()->stepInHand()) !== null; $i++) {
            $kind = $kinds->of($step);
            $now += 60 * (int) Answers::before($script->state()->at($step, $now)) + 36_000;
            foreach (Answers::to($kind, $script->state()->at($step, $now)) as [$form, $values, $minutes]) {
                $asked = $kind->form($script->state()->at($step, $now), $form);
                $script->write(self::line($step, $form, self::slipped($asked, $values), $now))?->field === null
                    || $script->write(self::line($step, $form, $values, $now));
                $more = $kind->forms($script->state()->at($step, $now));
                if ($more !== [] && mt_rand(0, 3) === 0) {
                    $other = self::oneOf($more);
                    $script->write(self::line($step, $other->name, self::slipped($other, []), $now += 60));
                }
                $shown += self::shown($script->state(), $kinds, $now);
                $now += (int) round(60 * $minutes);
            }
            $script->write(self::line($step, 'finish', [], $now += 60))?->field === null
                || $script->write(self::line($step, 'finish', [], $now += 60, 'seen and decided'));
            if (isset($script->state()->closed[$step->id]) === false) {
                break;
            }
        }
        self::assertGreaterThan(4, $shown);
    }

    private static function begun(Circuit $circuit): Script
    {
        [$kinds, $schools] = [StepCatalogue::standard(), SchoolCatalogue::standard()];
        $planner = new Planner($kinds, $schools);
        $asked = (new Input(['choices' => ['tools' => self::TOOLS]]))->choices($circuit);
        $fit = array_filter($schools->for($circuit), fn (School $way) => $way->whyNot($circuit, $asked) === null);
        $ways = array_map(fn (School $way) => $way->id(), $fit);
        $plan = $planner->plan($circuit, (new Input(['choices' => [
            'school' => self::oneOf($ways),
            'on_what_stays' => true,
            'tools' => self::TOOLS,
        ]]))->choices($circuit));

        return new Script(new JobState($circuit, $plan, $kinds), $kinds, new Replanning($kinds, $planner));
    }

    /** @param  array<string, mixed>  $values */
    private static function line(Step $step, string $form, array $values, int $now, string $reason = ''): ScriptLine
    {
        return new ScriptLine(0, $now, 'Imre Tovald', $step->id, $form, $values, $reason, 0, $reason !== '');
    }

    /**
     * @param  array<string, mixed>  $values
     * @return array<string, mixed>
     */
    private static function slipped(?Form $form, array $values): array
    {
        foreach ($form->fields ?? [] as $field) {
            $values[$field->name] = mt_rand(0, 3) > 0 ? $values[$field->name] ?? '' : self::drawn($field);
        }

        return $values;
    }

    private static function drawn(Field $field): string
    {
        return match (true) {
            $field->choices !== [] => (string) self::oneOf(array_keys($field->choices)),
            $field->type === FieldType::Check => mt_rand(0, 1) === 0 ? '' : '1',
            $field->dimension === null => 'below the seal',
            default => round(max($field->least, -30.0) + mt_rand(0, 1_000) / 1_000.0 * min(
                $field->most,
                20_000.0,
            ), 2).' '.$field->dimension->units()[0]->value,
        };
    }

    /** Everything a page says of its steps; how many of them. */
    private static function shown(JobState $job, StepCatalogue $kinds, int $now): int
    {
        $units = mt_rand(0, 1) === 0 ? UnitSystem::Metric : UnitSystem::UsCustomary;
        foreach ($job->steps as $step) {
            if ($step->id !== $job->stepInHand()?->id && $job->entriesOf($step->id) === []) {
                continue;
            }
            self::said($job->at($step, $now, $units), $kinds);
            $job->verdictOf($step, $now, $units);
        }

        return 1;
    }

    private static function said(Situation $at, StepCatalogue $kinds): void
    {
        $kind = $kinds->of($at->step);
        self::assertNotSame('', $kind->title($at));
        $kind->why($at);
        $kind->instructions($at);
        $kind->hazards($at);
        $kind->figure($at);
        $kind->clock($at);
        $kind->trace($at);
        $kind->tables($at);
        $kind->forms($at);
        $kind->open($at);
        $kind->watch($at);
    }

    /**
     * @template T
     *
     * @param  array<T>  $all  at least one
     * @return T
     */
    private static function oneOf(array $all): mixed
    {
        return array_values($all)[mt_rand(0, count($all) - 1)];
    }
}
