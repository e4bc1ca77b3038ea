<?php

declare(strict_types=1);

namespace Tests\Core\Steps;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Schools\SchoolCatalogue;
use Aqbel\Core\Steps\StepKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;
use Tests\Demo;

/** No sentence speaks of a part that a machine has not: every step of every way, on every demo circuit. */
final class MachineWordsTest extends TestCase
{
    /** @return array<string, array{string}> */
    public static function circuits(): array
    {
        $keys = array_map(
            fn (string $file) => basename($file, '.json'),
            glob(dirname(__DIR__, 3).'/database/demo/circuits/*.json') ?: [],
        );

        return array_combine($keys, array_map(fn (string $key) => [$key], $keys));
    }

    /**
     * @return array<string, string> how what it has not would be
     * named; a belt drives a fan where no figure tells of one
     */
    private static function notThere(Circuit $circuit): array
    {
        return array_filter([
            'heater' => $circuit->hasHeater() ? '' : '/heater|blower/i',
            'bleed points' => $circuit->hasBleedPoints() ? '' : '/bleed (point|screw)/i',
            'electric fan' => $circuit->facts->fanOnC === null ? '/fan.on|\bfan (on|came|went|comes|cannot)|the fan\b/i' : '',
            'tank' => $circuit->hasTank() ? '' : '/\btank\b/i',
        ]);
    }

    #[DataProvider('circuits')]
    public function test_words_fit_the_machine(string $key): void
    {
        $circuit = Demo::circuit($key);
        [$notThere, $looked] = [self::notThere($circuit), 0];
        foreach (SchoolCatalogue::standard()->for($circuit) as $school) {
            $job = JobOnPaper::on($key, school: $school->id(), choices: ['opened' => []]);
            if ($school->whyNot($circuit, $job->choices) !== null) {
                continue;
            }
            foreach ($job->steps() as $step) {
                $at = $job->at($step);
                foreach (self::sentences($job->at($step), JobOnPaper::kind($at->step->kind)) as $sentence) {
                    $looked++;
                    foreach ($notThere as $part => $named) {
                        self::assertDoesNotMatchRegularExpression(
                            $named,
                            $sentence,
                            "{$step} of {$school->id()}: there is no {$part}",
                        );
                    }
                }
            }
        }
        self::assertGreaterThan(500, $looked);
    }

    public function test_what_a_step_comes_to_fits_the_machine_too(): void
    {
        $out = fn (float $ml, string $flow = 'ran'): JobOnPaper => JobOnPaper::on(
            'yard-tractor',
            school: 'engine_first:upper_end',
            choices: ['drains' => ['radiator_cock']],
        )
            ->write('found', 'found', ['content' => 'full'])
            ->write('drain:radiator_cock', 'out', [
                'volume' => $ml,
                'vessel' => 'jug',
                'flow' => $flow,
                'shut' => true,
            ]);
        $short = $out(900.0, 'early');
        $rinsed = $out(1980.0)
            ->finish('drain:radiator_cock')
            ->write('rinse', 'decision', ['rinse' => 'once', 'times' => '1'])
            ->finish('rinse')
            ->write('rinse_fill:1', 'water_in', ['volume' => 1900.0, 'vessel' => 'jug', 'water' => 'pure'])
            ->finish('rinse_fill:1');
        $said = [
            ...self::sentences($short->at('drain:radiator_cock'), JobOnPaper::kind('drain')),
            $short->judge('drain:radiator_cock')->reason,
            $short->judge('reconcile:1')->reason,
            ...self::sentences($rinsed->at('rinse_drain:1'), JobOnPaper::kind('rinse_drain')),
        ];
        self::assertStringContainsString('Cap off, then let it run again.', implode("\n", $said));
        foreach ($said as $sentence) {
            self::assertDoesNotMatchRegularExpression('/heater|bleed/i', $sentence);
        }
    }

    public function test_some_machines_lack_each_of_them(): void
    {
        $lacking = array_merge(
            ...array_map(
                fn (array $key) => array_keys(self::notThere(Demo::circuit($key[0]))),
                array_values(self::circuits()),
            ),
        );
        self::assertSame(
            ['bleed points', 'electric fan', 'heater', 'tank'],
            array_values(array_intersect(['bleed points', 'electric fan', 'heater', 'tank'], $lacking)),
        );
    }

    /** @return list<string> */
    public static function sentences(Situation $at, StepKind $kind): array
    {
        $ofForm = fn (Form $form): array => [
            $form->button,
            $form->note,
            ...array_merge(
                ...array_map(
                    fn (Field $field) => [$field->label, $field->help, ...array_values($field->choices)],
                    $form->fields,
                ),
            ),
        ];

        return [
            $kind->title($at),
            $kind->why($at),
            ...$kind->instructions($at),
            ...array_map(fn (Obstacle $obstacle) => $obstacle->text, $kind->open($at)),
            ...array_merge(...array_map($ofForm, $kind->forms($at))),
        ];
    }
}
