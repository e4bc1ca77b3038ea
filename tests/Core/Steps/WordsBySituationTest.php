<?php

declare(strict_types=1);

namespace Tests\Core\Steps;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Mixing\Compatibility;
use Aqbel\Core\Plan\Complaint;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Values;
use Aqbel\Core\Writing\Believable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;
use Tests\Journeys\Journey;

/** What a step says, and does not say, by what has happened. */
final class WordsBySituationTest extends TestCase
{
    private static function told(JobOnPaper $job, string $step): string
    {
        return implode(' ', JobOnPaper::kind($job->at($step)->step->kind)->instructions($job->at($step)));
    }

    public function test_the_nose_is_spoken_of_while_it_is_up(): void
    {
        $ticked = ['chocks' => true, 'stands' => true, 'height' => true];
        $up = JobOnPaper::on('taxi-engine', school: 'raise')->write('raise', 'ticked', $ticked)
            ->finish('raise');
        $level = JobOnPaper::on('taxi-engine');
        self::assertStringContainsString('The nose is still up', self::told($up, 'fill_level'));
        self::assertStringNotContainsString('nose', self::told($level, 'fill_level'));
        self::assertStringNotContainsString('nose', self::told($level, 'heat_cycle:1'));
    }

    public function test_two_drips_are_mended_and_not_one(): void
    {
        $job = JobOnPaper::on('taxi-engine', choices: ['complaint' => Complaint::Falling]);
        $said = fn (): string => $job->judge('find_drip')->reason ?? '';
        $job->write('find_drip', 'drip', ['place' => 'hose', 'gas' => 'undone']);
        self::assertStringContainsString('Mending it is on', $said());
        $job->write('find_drip', 'drip', ['place' => 'pump', 'gas' => 'undone']);
        self::assertStringContainsString('Mending them is on', $said());
    }

    public function test_numbers_that_were_exchanged_are_told_by_what_runs_out_where(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'full']);
        foreach (['radiator_cock' => 650.0, 'left_plug' => 9_640.0, 'right_plug' => 650.0] as $drain => $ml) {
            $with = ['vessel' => 'pan', 'flow' => 'ran', 'together' => 'with'];
            $job->write("drain:{$drain}", 'out', ['volume' => $ml, ...$with]);
        }
        self::assertSame('Which gave what?', $job->judge('drain:left_plug')?->title);
        self::assertStringContainsString(
            'Radiator drain cock: 0.65 L, where 1.70 L runs out there and nowhere else.',
            $job->judge('drain:left_plug')->reason,
        );
    }

    public function test_several_parts_get_no_air(): void
    {
        self::assertStringContainsString(
            'Block, Cylinder head, Thermostat housing and Cab heater feed get no air and glug.',
            self::told(JobOnPaper::on('footpath-sweeper', choices: ['opened' => []]), 'drain:radiator_cock'),
        );
    }

    public function test_what_stands_above_a_point_left_shut_has_a_row_of_its_own(): void
    {
        $rows = fn (JobOnPaper $job): string => json_encode(array_map(
            fn ($table) => $table->rows,
            JobOnPaper::kind('reconcile')->tables($job->at('reconcile:1')),
        )) ?: '';
        $job = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'full'])
            ->write('drain:radiator_cock', 'out', ['volume' => 9_640.0, 'vessel' => 'pan', 'flow' => 'ran'])
            ->write('drain:right_plug', 'out', ['volume' => 650.0, 'vessel' => 'jug', 'flow' => 'ran']);
        self::assertStringNotContainsString('left shut', $rows($job));
        $job->write('drain:left_plug', 'left_shut', ['why' => 'seized']);
        self::assertStringContainsString('Above points left shut', $rows($job));
    }

    public function test_concentrate_is_mixed_outside_where_a_vacuum_draws_it_in(): void
    {
        $told = fn (float $stock): string => self::told(
            JobOnPaper::on('rescue-ambulance', school: 'vacuum', choices: ['stockFraction' => $stock]),
            'mix',
        );
        self::assertStringContainsString('Mixed in the bucket only', $told(1.0));
        self::assertStringNotContainsString('Mixed in the bucket only', $told(0.5));
    }

    /** @return array<string, array{Compatibility, float, string}> what is in it; wanted; what is said */
    public static function outOfReach(): array
    {
        return [
            'too weak' => [Compatibility::Water, 0.6, 'even pure concentrate brings'],
            'too strong' => [Compatibility::AsManual, 0.05, 'even plain water leaves'],
        ];
    }

    #[DataProvider('outOfReach')]
    public function test_what_cannot_be_reached_says_from_which_side(Compatibility $in, float $target, string $said): void
    {
        $choices = ['content' => $in, 'targetFraction' => $target, 'drains' => ['radiator_cock'], 'opened' => []];
        $job = JobOnPaper::on('school-minibus', choices: $choices)
            ->write('found', 'found', ['content' => $in === Compatibility::Water ? 'water' : 'full'])
            ->write('drain:radiator_cock', 'out', ['volume' => 5_500.0, 'vessel' => 'pan', 'flow' => 'ran']);
        self::assertSame('Out of reach', $job->judge('mix')?->title);
        self::assertStringContainsString($said, $job->judge('mix')->reason);
    }

    public function test_what_a_flushed_part_held_is_known_to_a_quarter(): void
    {
        $job = JobOnPaper::on('rescue-ambulance');
        $lines = JobOnPaper::kind('back_flush')->ledger(
            $job->at('rinse'),
            new Entry(1, 1_000_000, 'Imre Tovald', 'rinse', 'ticked', new Values(['heater' => true])),
        );
        self::assertCount(2, $lines);
        foreach ($lines as $line) {
            self::assertEqualsWithDelta(0.25 * abs($line->ml), $line->plusMinusMl, 1.0e-9);
        }
    }

    public function test_a_rinse_too_few_says_how_many_it_takes(): void
    {
        $job = fn (string $times): string => JobOnPaper::on('school-minibus', choices: ['content' => Compatibility::OtherBase])
            ->write('found', 'found', ['content' => 'full'])
            ->write('drain:radiator_cock', 'out', ['volume' => 5_000.0, 'vessel' => 'pan', 'flow' => 'ran'])
            ->write('rinse', 'decision', ['rinse' => 'hot', 'times' => $times])
            ->judge('rinse')->reason ?? '';
        self::assertMatchesRegularExpression('/After 1 it is .* It takes \d to bring it down far enough/', $job('1'));
        self::assertStringNotContainsString('It takes', $job('6'));
    }

    public function test_a_lamp_says_of_the_heat_only_what_was_past_the_limit(): void
    {
        $said = fn (float $celsius): string => JobOnPaper::on('rescue-ambulance')
            ->write('heat_cycle:1', 'start', ['place' => 'outdoors', 'neck' => 'sealed'])
            ->write('heat_cycle:1', 'reading', ['ect' => $celsius, 'sign' => 'lamp'])
            ->judge('heat_cycle:1')->reason ?? '';
        self::assertStringContainsString('112 °C is past its limit', $said(112.0));
        self::assertStringNotContainsString('past its limit', $said(80.0));
    }

    /** @return array<string, array{string, string}> of the leak test’s 10.8 L so much came out; verdict */
    public static function water(): array
    {
        return ['two hundredths stay, and a little' => ['10.54 L', 'stays'], 'hardly two hundredths' => ['10.56 L', 'out']];
    }

    #[DataProvider('water')]
    public function test_water_of_the_leak_test_tells_from_two_hundredths_of_the_capacity(string $out, string $verdict): void
    {
        $document = json_decode(
            (string) file_get_contents(dirname(__DIR__, 2).'/Journeys/jobs/leak-under-water.json'),
            true,
        );
        $step = 'water_out:find_drip:water:1';
        $first = array_search($step, array_column($document['lines'], 'step'), true);
        $until = array_search(['expect' => ['next' => $step]], $document['lines'], true);
        self::assertIsInt($until);
        $document['lines'] = [
            ...array_slice($document['lines'], 0, $until),
            ['step' => $step, 'form' => 'out', 'values' => ['volume' => $out, 'vessel' => 'syringe', 'shut' => true]],
        ];
        $journey = new Journey($document);
        $journey->play();
        self::assertNotFalse($first);
        self::assertSame($verdict, $journey->state()->verdictOf($journey->state()->steps[$step], PHP_INT_MAX >> 1)?->code);
    }

    public function test_what_clings_to_an_empty_circuit_need_not_come(): void
    {
        $said = fn (float $expected): ?string => JobOnPaper::on('yard-tractor', choices: ['drains' => ['radiator_cock']])
            ->write('found', 'found', ['content' => 'low', 'missing' => 2_025.0 - $expected])
            ->write('drain:radiator_cock', 'out', ['volume' => 0.0, 'vessel' => 'syringe', 'flow' => 'ran'])
            ->judge('drain:radiator_cock')?->code;
        $gives = JobOnPaper::on('yard-tractor', choices: ['drains' => ['radiator_cock']])
            ->at('drain:radiator_cock')->step->params->number('predicted_ml');
        self::assertSame('drained', $said(2_025.0 - $gives + 30.0));
        self::assertNotSame('drained', $said(2_025.0 - $gives + 200.0));
    }

    public function test_a_circuit_that_was_hardly_drained_is_drained_before_it_is_rinsed(): void
    {
        $said = fn (float $out): string => JobOnPaper::on('yard-tractor', choices: ['content' => Compatibility::OtherBase])
            ->write('found', 'found', ['content' => 'full'])
            ->write('drain:radiator_cock', 'out', ['volume' => $out, 'vessel' => 'jug', 'flow' => 'early'])
            ->judge('rinse')->title ?? '';
        self::assertSame('Let more of it out first', $said(200.0));
        self::assertStringEndsWith('× rinse', $said(1_700.0));
    }

    public function test_two_ways_of_the_oil_are_mended_and_not_one(): void
    {
        $job = JobOnPaper::on('piste-groomer')->write('look', 'seen', ['coolant' => 'oily', 'next' => 'waste'])
            ->finish('look');
        $step = array_values(array_filter($job->steps(), fn (string $id) => str_starts_with($id, 'find_cause')))[0];
        $said = fn (): string => $job->judge($step)->reason ?? '';
        $job->write($step, 'cause', ['cause' => 'oil_cooler']);
        self::assertStringContainsString('Mending it is', $said());
        $job->write($step, 'cause', ['cause' => 'head_gasket']);
        self::assertStringContainsString('Mending them is', $said());
    }

    public function test_a_needle_that_rose_has_not_moved_by_less_than_nothing(): void
    {
        $job = JobOnPaper::on('rescue-ambulance', school: 'vacuum')
            ->write('hold:1', 'reading', ['vacuum' => 71.0], 300)
            ->write('hold:1', 'reading', ['vacuum' => 71.3], 600);
        self::assertMatchesRegularExpression('/The needle rose 0\.\d+ inHg/', $job->judge('hold:1')->reason ?? '');
    }

    public function test_less_than_an_ounce_is_told_to_a_hundredth(): void
    {
        $said = fn (float $ml): string => UnitSystem::UsCustomary->format($ml, Unit::FluidOunce);
        self::assertSame('0.03 fl oz', $said(1.0));
        self::assertSame('0.34 fl oz', $said(10.0));
        self::assertSame('5.7 fl oz', $said(170.0));
    }

    public function test_a_batch_that_no_addition_makes_strong_enough_is_set_aside(): void
    {
        // Two thirds of a litre of room, nearly six litres at 44 % inside: only concentrate alone lands.
        $job = JobOnPaper::on('taxi-engine', choices: ['drains' => ['radiator_cock']])
            ->write('found', 'found', ['content' => 'full', 'freeze' => -30.0])
            ->write('drain:radiator_cock', 'out', ['volume' => 460.0, 'vessel' => 'jug', 'flow' => 'early'])
            ->write('mix', 'batch', ['concentrate' => 1_050.0, 'water' => 1_020.0]);
        self::assertSame('off_target', $job->judge('mix')?->code, $job->judge('mix')->reason ?? '');
        self::assertStringContainsString('set this batch aside', $job->judge('mix')->reason);
        self::assertStringContainsString('Set this batch aside', self::told($job, 'mix'));
    }

    public function test_a_coolant_that_dips_as_the_thermostat_opens_is_believed(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')
            ->write('heat_cycle:1', 'start', ['place' => 'outdoors', 'neck' => 'sealed'], 900)
            ->write('heat_cycle:1', 'reading', ['ect' => 90.0, 'far' => 40.0, 'sign' => 'none', 'bubbles' => 'hidden']);
        $at = $job->at('heat_cycle:1');
        $form = JobOnPaper::kind('heat_cycle')->form($at, 'reading');
        $believed = function (string $celsius) use ($at, $form): bool {
            try {
                Believable::check($at, $form->fields, $form->read(['ect' => $celsius, 'sign' => 'none', 'bubbles' => 'hidden'], UnitSystem::Metric), true);
            } catch (InvalidField) {
                return false;
            }

            return true;
        };
        self::assertTrue($believed('71'), 'a cold radiator comes round');
        self::assertFalse($believed('63'));
    }
}
