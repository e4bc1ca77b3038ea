<?php

declare(strict_types=1);

namespace Tests\Core;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Steps\StepCatalogue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What each kind of step makes of its entries. */
final class StepsTest extends TestCase
{
    public function test_every_kind_has_all_it_needs_for_a_screen(): void
    {
        foreach (['gravity', 'vacuum'] as $school) {
            $state = JobOnPaper::on('rescue-ambulance', $school, cure: 60.0)->state();
            foreach ($state->steps as $step) {
                $kind = StepCatalogue::of($step);
                $at = $state->at($step, 0);
                self::assertNotSame('', $kind->title($at));
                self::assertMatchesRegularExpression('/[.!?]$/', $kind->why($at), $step->id);
                self::assertNotSame([], $kind->instructions($at), $step->id);
                self::assertNotSame([], $kind->obstacles($at) ?: (in_array($step->kind, ['sign_off', 'reconcile'], true) ? [1] : []), "{$step->id} would be finished without doing anything");
                self::assertGreaterThan(0.0, $kind->handsOnMinutes($step, $state->plan->input) + $kind->waitingMinutes($step, $state->plan->input));
            }
            self::assertSame(range(0, 11), array_values(array_unique(array_map(fn ($s) => $s->stage->value, array_values($state->steps)))), 'all stages, in order');
        }
        self::assertCount(43, StepCatalogue::all());
    }

    public function test_content_found_is_never_simply_the_capacity(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'low', 'missing' => 2000.0]);
        $ledger = $job->state()->ledger();
        self::assertEqualsWithDelta(12390 - 660 - 2000, $ledger->contentMl, 1);
        self::assertGreaterThan(500, $ledger->plusMinusMl);
        self::assertEqualsWithDelta(0.0, JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'empty'])->state()->ledger()->contentMl, 1e-6);
        self::assertSame(0.0, JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'water'])->state()->ledger()->fraction());
        self::assertEqualsWithDelta(0.33, JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'full', 'freeze' => -17.9])->state()->ledger()->fraction(), 0.01);
    }

    public function test_a_drain_is_held_against_its_prediction(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('drain:left_plug', 'out', ['volume' => 650.0, 'vessel' => 'Measuring jug, 0.1 L marks', 'flow' => 'ran']);
        self::assertSame('pass', $job->judge('drain:left_plug')->tone);
        $short = JobOnPaper::on('rescue-ambulance')->write('drain:left_plug', 'out', ['volume' => 100.0, 'vessel' => 'Measuring jug, 0.1 L marks', 'flow' => 'early']);
        self::assertSame('wait', $short->judge('drain:left_plug')->tone);
        self::assertStringContainsString('No air is getting in', $short->judge('drain:left_plug')->reason);
        self::assertStringContainsString('say what was done about it', $short->obstacles('drain:left_plug')[0]);
        self::assertStringContainsString('not recorded as closed', $short->obstacles('drain:left_plug')[1]);
    }

    public function test_dirty_coolant_asks_for_a_rinse_and_skipping_it_for_a_reason(): void
    {
        foreach (['clean' => 'pass', 'rusty' => 'wait', 'oily' => 'stop', 'gel' => 'stop'] as $seen => $tone) {
            $job = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'full'])->write('drain:radiator_cock', 'out', ['volume' => 10300.0, 'vessel' => 'Drain pan, 0.5 L marks', 'flow' => 'ran'])
                ->write('look', 'seen', ['coolant' => $seen])->write('rinse', 'decision', ['rinse' => 'skip']);
            self::assertSame($tone, $job->judge('look')->tone);
            self::assertCount($seen === 'clean' ? 0 : 1, $job->obstacles('rinse'));
        }
        // Plain water boils at 95.2 °C at 1,420 m (ASHRAE standard atmosphere, IAPWS-IF97).
        self::assertStringContainsString('boils at 95 °C', implode(' ', StepCatalogue::all()['rinse']->instructions(JobOnPaper::on('rescue-ambulance')->at('rinse'))));
    }

    public function test_rinse_water_left_inside_makes_the_bucket_stronger(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'full'])
            ->write('drain:radiator_cock', 'out', ['volume' => 11730.0, 'vessel' => 'Drain pan, 0.5 L marks', 'flow' => 'ran'])
            ->write('rinse', 'decision', ['rinse' => 'hot', 'times' => '1'])->finish('rinse')
            ->write('rinse_fill:1', 'water_in', ['volume' => 11000.0, 'vessel' => 'Mixing bucket, 0.25 L marks'])->write('rinse_drain:1', 'water_out', ['volume' => 9000.0, 'vessel' => 'Mixing bucket, 0.25 L marks', 'runs' => 'clear']);
        $figure = StepCatalogue::all()['mix']->figure($job->at('mix'));
        // 11.73 L at 50 % with 2 L of water inside: 5.865 L glycol in 9.73 L.
        self::assertEqualsWithDelta(5.865 / 9.73, $figure->base, 0.005);
        self::assertStringContainsString('2.00 L at 0 %', StepCatalogue::all()['mix']->why($job->at('mix')));
        self::assertSame('pass', $job->write('mix', 'batch', ['concentrate' => 6030.0, 'water' => 3970.0])->judge('mix')->tone);
        self::assertSame('wait', $job->write('mix', 'batch', ['concentrate' => 9000.0, 'water' => 1000.0])->judge('mix')->tone, 'a second entry adds to the batch');
    }

    public function test_a_bleed_point_is_closed_by_the_house_rule(): void
    {
        $minute = JobOnPaper::on('rescue-ambulance')->write('bleed:bleed_housing', 'running', later: 30);
        self::assertSame('Running', $minute->judge('bleed:bleed_housing')->verdict);
        try {
            StepCatalogue::all()['bleed']->admit($minute->at('bleed:bleed_housing'), 'closed', []);
            self::fail('closed too early');
        } catch (InvalidField $early) {
            self::assertStringContainsString('30 s to go', $early->getMessage());
        }
        self::assertSame('Running', $minute->write('bleed:bleed_housing', 'bubble', later: 40)->judge('bleed:bleed_housing')->verdict, 'a bubble starts the minute again');
        self::assertSame('Close it now', $minute->wait(25)->judge('bleed:bleed_housing')->verdict);
        $first = JobOnPaper::on('rescue-ambulance', rules: new HouseRules(closeBleed: 'first_coolant'))->write('bleed:bleed_housing', 'running', later: 1);
        self::assertSame('Close it now', $first->judge('bleed:bleed_housing')->verdict);
        StepCatalogue::all()['bleed']->admit($first->at('bleed:bleed_housing'), 'closed', []);
        self::assertSame(['bleed_housing' => 'closed'], array_intersect_key($first->write('bleed:bleed_housing', 'closed', ['torque' => 8.0])->state()->ports(0), ['bleed_housing' => 1]));
    }

    public function test_accepted_less_than_predicted_is_trapped_air_named_by_pocket(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'empty'])->write('fill_level', 'poured', ['volume' => 9000.0, 'vessel' => 'Mixing bucket, 0.25 L marks'])->write('fill_level', 'at_mark');
        self::assertSame('Air is trapped', $job->judge('fill_level')->verdict);
        self::assertStringContainsString('Heater core', $job->judge('fill_level')->reason);
        self::assertSame('pass', $job->write('fill_level', 'poured', ['volume' => 2500.0, 'vessel' => 'Mixing bucket, 0.25 L marks'])->judge('fill_level')->tone);
    }

    public function test_a_leaking_hold_orders_the_hunt_and_another_hold(): void
    {
        $job = JobOnPaper::on('rescue-ambulance', 'vacuum');
        foreach ([72.0, 69.0, 66.0, 63.0] as $kpa) {
            $job->write('hold:1', 'reading', ['vacuum' => $kpa], 120);
        }
        self::assertSame('stop', $job->judge('hold:1')->tone);
        $job->finish('hold:1');
        $ids = array_keys($job->state()->steps);
        $at = array_search('hold:1', $ids, true);
        self::assertSame(['leak_hunt:2', 'pull:2', 'hold:2', 'vacuum_fill'], array_slice($ids, $at + 1, 4));
        self::assertEqualsWithDelta(71.3, $job->at('pull:2')->param('target_kpa'), 0.1);
        self::assertNotSame([], $job->obstacles('leak_hunt:2'));
        self::assertSame([], $job->write('leak_hunt:2', 'checked', ['suspect' => 'seal', 'result' => 'mended'])->obstacles('leak_hunt:2'));
    }

    public function test_a_settling_hold_is_restarted_not_hunted(): void
    {
        $job = JobOnPaper::on('rescue-ambulance', 'vacuum');
        foreach ([[71.3, 60], [66.0, 60], [65.0, 180], [64.8, 300], [64.8, 300], [64.8, 60]] as [$kpa, $later]) {
            $job->write('hold:1', 'reading', ['vacuum' => $kpa], $later);
        }
        self::assertSame('Settling', $job->judge('hold:1')->verdict);
        self::assertStringContainsString('restart the hold', $job->obstacles('hold:1')[0]);
        self::assertNull($job->write('hold:1', 'restart')->judge('hold:1'));
    }

    public function test_both_lengths_of_hold(): void
    {
        $job = JobOnPaper::on('rescue-ambulance', 'vacuum')->write('hold:1', 'school', ['length' => 'glance']);
        foreach ([0, 1, 2] as $_) {
            $job->write('hold:1', 'reading', ['vacuum' => 71.3], 65);
        }
        self::assertSame([], $job->obstacles('hold:1'));
        self::assertNotSame([], $job->write('hold:1', 'school', ['length' => 'real'])->obstacles('hold:1'));
    }

    public function test_pressure_never_above_the_cap_and_it_may_be_declined(): void
    {
        $job = JobOnPaper::on('rescue-ambulance');
        foreach ([['start' => 130.0, 'end' => 130.0], ['start' => 80.0, 'end' => 90.0]] as $values) {
            try {
                StepCatalogue::all()['pressure_test']->admit($job->at('pressure_test'), 'test', $values);
                self::fail('accepted');
            } catch (InvalidField $refused) {
                self::assertNotSame('', $refused->getMessage());
            }
        }
        self::assertSame('stop', $job->write('pressure_test', 'test', ['start' => 90.0, 'end' => 70.0])->judge('pressure_test')->tone);
        self::assertSame('Too short', JobOnPaper::on('rescue-ambulance')->write('pressure_test', 'test', ['start' => 90.0, 'end' => 90.0, 'held' => 30.0])->judge('pressure_test')->verdict);
        self::assertSame([], $job->write('pressure_test', 'declined', ['why' => 'tester away'])->obstacles('pressure_test'));
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function hotReadings(): array
    {
        return [
            'fine' => [['ect' => 96.0, 'far' => 90.0], 'Not proven yet'], 'at the limit' => [['ect' => 103.0, 'far' => 98.0], 'Shut off now'], 'steam' => [['sign' => 'steam'], 'Shut off now'],
            'thermostat shut' => [['ect' => 99.0, 'far' => 40.0], 'Thermostat shut'], 'heater cold' => [['ect' => 95.0, 'far' => 88.0, 'outlet_front' => 22.0], 'Heater cold'],
        ];
    }

    /** @param  array<string, mixed>  $reading */
    #[DataProvider('hotReadings')]
    public function test_a_hot_reading_means(array $reading, string $verdict): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('heat_cycle:1', 'start', ['place' => 'outdoors', 'neck' => 'sealed'])
            ->write('heat_cycle:1', 'reading', $reading + ['ect' => 92.0, 'far' => 86.0, 'outlet_front' => 66.0, 'bubbles' => 'hidden', 'sign' => 'none']);
        self::assertSame($verdict, $job->judge('heat_cycle:1')->verdict);
    }

    public function test_proofs_missing_order_another_cycle_and_all_proofs_end_it(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('heat_cycle:1', 'start', ['place' => 'outdoors', 'neck' => 'sealed'])
            ->write('heat_cycle:1', 'reading', ['ect' => 97.0, 'far' => 90.0, 'outlet_front' => 66.0, 'bubbles' => 'hidden', 'sign' => 'none']);
        self::assertTrue($job->isHard('heat_cycle:1'), 'a running engine is never left');
        $job->write('heat_cycle:1', 'shut_off');
        self::assertStringContainsString('the fan on and off 2 times', $job->judge('heat_cycle:1')->reason);
        $job->write('cold_level:1', 'opened', ['ect' => 20.0])->write('cold_level:1', 'topped', ['volume' => 0.0])->finish('cold_level:1');
        self::assertArrayHasKey('heat_cycle:2', $job->state()->steps);
        self::assertSame(Stage::Cool, $job->state()->steps['cool_down:2']->stage);
        $job->write('heat_cycle:2', 'start', ['place' => 'outdoors', 'neck' => 'sealed'])->write('heat_cycle:2', 'reading', ['ect' => 97.0, 'far' => 90.0, 'outlet_front' => 66.0, 'bubbles' => 'hidden', 'sign' => 'none']);
        foreach (['fan_on', 'fan_off', 'fan_on', 'fan_off', 'shut_off'] as $form) {
            $job->write('heat_cycle:2', $form);
        }
        $job->write('cold_level:2', 'opened', ['ect' => 20.0])->write('cold_level:2', 'topped', ['volume' => 20.0])->finish('cold_level:2');
        self::assertArrayNotHasKey('heat_cycle:3', $job->state()->steps);
    }

    public function test_top_ups_that_do_not_shrink_are_not_air(): void
    {
        $job = JobOnPaper::on('rescue-ambulance');
        foreach ([1 => 200.0, 2 => 190.0, 3 => 210.0] as $round => $ml) {
            $job->write("cold_level:{$round}", 'opened', ['ect' => 20.0])->write("cold_level:{$round}", 'topped', ['volume' => $ml]);
            if ($round < 3) {
                $job->finish("cold_level:{$round}");
            }
        }
        self::assertSame('Not air', $job->judge('cold_level:3')->verdict);
        self::assertStringContainsString('combustion gas', $job->judge('cold_level:3')->reason);
    }

    public function test_the_hot_neck_rule_knows_how_the_neck_stood(): void
    {
        $open = fn (string $neck) => StepCatalogue::all()['cold_level']->admit(JobOnPaper::on('rescue-ambulance')->write('heat_cycle:1', 'start', ['place' => 'outdoors', 'neck' => $neck])->at('cold_level:1'), 'opened', ['ect' => 80.0]);
        $open('funnel');
        $open('resting');
        $this->expectException(InvalidField::class);
        $this->expectExceptionMessage('Do not open it');
        $open('sealed');
    }

    public function test_two_hours_standing_is_the_least(): void
    {
        $rested = fn (float $hours) => JobOnPaper::on('rescue-ambulance')->write('cold_check', 'rested', ['since' => $hours * 3600.0]);
        self::assertTrue($rested(1.5)->isHard('cold_check'));
        self::assertSame([], $rested(11)->obstacles('cold_check'));
        self::assertTrue($rested(11)->write('cold_check', 'reading', ['ect' => 70.0, 'air' => 15.0])->isHard('cold_check'), 'a hot reading outranks the clock on the wall');
    }

    public function test_standing_time_cannot_outrun_the_journal(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('heat_cycle:1', 'start', ['place' => 'outdoors', 'neck' => 'sealed'])->write('heat_cycle:1', 'shut_off', later: 7200);
        StepCatalogue::all()['cool_down']->admit($job->at('cool_down:1'), 'rested', ['since' => 7200.0]);
        $this->expectException(InvalidField::class);
        $this->expectExceptionMessage('120 min ago');
        StepCatalogue::all()['cool_down']->admit($job->at('cool_down:1'), 'rested', ['since' => 11 * 3600.0]);
    }

    public function test_the_cool_down_clock_learns_from_a_second_reading(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('cool_down:1', 'reading', ['ect' => 90.0, 'air' => 20.0], 600);
        $typical = StepCatalogue::all()['cool_down']->clock($job->at('cool_down:1'));
        $job->write('cool_down:1', 'reading', ['ect' => 20.0 + 70.0 * exp(-600 / 2400), 'air' => 20.0]);
        $own = StepCatalogue::all()['cool_down']->clock($job->at('cool_down:1'));
        self::assertEqualsWithDelta(2400 * log(70 / 25) - 600, $own->until - $own->since, 2);
        self::assertLessThan($typical->until, $own->until);
    }

    public function test_a_refractometer_off_the_plan_says_what_to_pour_next(): void
    {
        self::assertSame('pass', JobOnPaper::on('rescue-ambulance')->write('refractometer', 'freeze', ['freeze' => -37.0])->judge('refractometer')->tone);
        self::assertStringContainsString('concentrate', JobOnPaper::on('rescue-ambulance')->write('refractometer', 'freeze', ['freeze' => -20.0])->judge('refractometer')->reason);
    }

    public function test_a_raised_nose_and_a_bleed_point_above_the_neck_change_the_sequence(): void
    {
        $flat = JobOnPaper::on('rescue-ambulance')->state()->plan;
        $raised = JobOnPaper::on('rescue-ambulance', lift: 300.0)->state()->plan;
        self::assertNotEquals($flat->predicted['retained_ml'], $raised->predicted['retained_ml']);
        self::assertSame(['bleed_housing', 'bleed_heater'], array_column($flat->predicted['fill']['flows'], 'port'));
        self::assertGreaterThan(60.0, $flat->waitingMinutes());
        self::assertGreaterThan(60.0, $flat->handsOnMinutes());
    }
}
