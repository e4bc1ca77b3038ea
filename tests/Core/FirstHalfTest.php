<?php

declare(strict_types=1);

namespace Tests\Core;

use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Ledger\Ledger;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Mixing\Mix;
use Aqbel\Core\Mixing\RinseChain;
use Aqbel\Core\Plan\ChangeInterval;
use Aqbel\Core\Plan\DrainWorth;
use Aqbel\Core\Plan\Materials;
use Aqbel\Core\Plan\NextChange;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Steps\Mix\MixCoolant;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Stores\Inventory;
use Aqbel\Core\Stores\Offer;
use Aqbel\Core\Stores\PartUsed;
use Aqbel\Core\Stores\Shopping;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Stages 0 to 5: what is planned, found, drained, rinsed, closed and mixed. */
final class FirstHalfTest extends TestCase
{
    private const JUG = 'Measuring jug, 0.1 L marks';

    private const PAN = 'Drain pan, 0.5 L marks';

    // -- plan ---------------------------------------------------------------------------------------------------

    public function test_the_kind_of_job_and_the_complaint_change_the_sequence(): void
    {
        $lost = JobOnPaper::on('rescue-ambulance', choices: ['jobKind' => 'lost'])->steps();
        self::assertNotContains('baseline', $lost, 'it cannot safely run');
        self::assertLessThan(array_search('drain:radiator_cock', $lost, true), array_search('find_drip', $lost, true));
        self::assertContains('find_drip', JobOnPaper::on('rescue-ambulance', choices: ['complaint' => 'falling'])->steps());
        self::assertNotContains('find_drip', JobOnPaper::on('rescue-ambulance')->steps());
        $bleed = JobOnPaper::on('rescue-ambulance', choices: ['jobKind' => 'bleed', 'drains' => [], 'opened' => []])->steps();
        self::assertSame([], array_values(array_filter($bleed, fn (string $id) => preg_match('/^(drain|reconcile|look|rinse)/', $id) === 1)));
        self::assertContains('complaint', JobOnPaper::on('rescue-ambulance', choices: ['complaint' => 'heater_cold'])->steps());
        self::assertContains('jar_test', JobOnPaper::on('rescue-ambulance', choices: ['content' => 'unknown'])->steps());
        $this->expectExceptionMessage('needs the circuit drained');
        JobOnPaper::on('rescue-ambulance', 'vacuum', choices: ['jobKind' => 'bleed', 'drains' => []])->state();
    }

    public function test_what_was_opened_decides_what_must_be_drained(): void
    {
        $sweeper = self::circuit('footpath-sweeper');
        $verdicts = fn (array $opened, bool $all): array => array_column(array_map(fn (DrainWorth $w) => [$w->port->id, $w->verdict], DrainWorth::of($sweeper, $opened, $all)), 1, 0);
        self::assertSame(['radiator_cock' => 'must', 'pipe_plug' => 'leave'], $verdicts(['lower_hose'], false));
        self::assertSame('worth', $verdicts([], true)['radiator_cock'], 'at a change the more comes out, the better');
        $groomer = DrainWorth::of(self::circuit('piste-groomer'), [], true);
        self::assertSame(['radiator_cock'], DrainWorth::recommended($groomer), '2.5 L behind the belly plate are not worth 21 minutes');
        self::assertSame(['belly'], $groomer[1]->covers);
        $loader = DrainWorth::of(self::circuit('compact-loader'), ['lower_hose'], false);
        self::assertSame([4.0, []], [$loader[0]->minutes, $loader[0]->covers], 'the belly plate is off for the hose already');
    }

    public function test_drains_taken_in_the_order_of_worth_let_out_what_they_say(): void
    {
        foreach (['rescue-ambulance', 'school-minibus', 'standby-generator', 'footpath-sweeper', 'yard-tractor'] as $key) {
            $circuit = self::circuit($key);
            $worth = DrainWorth::of($circuit, [], true);
            $opened = DrainWorth::recommended($worth);
            $sum = array_sum(array_map(fn (DrainWorth $w) => in_array($w->port->id, $opened, true) ? $w->volumeMl : 0.0, $worth));
            self::assertEqualsWithDelta(Drainage::of($circuit, $opened, Filling::usualGates($circuit))->drainedMl, $sum, 0.01 * $circuit->capacityMl(), $key);
            foreach ($worth as $w) {
                self::assertGreaterThanOrEqual(0.0, $w->volumeMl);
            }
        }
    }

    public function test_covers_parts_and_torques_come_from_the_circuit(): void
    {
        $input = JobOnPaper::on('rescue-ambulance')->input;
        $materials = new Materials(self::circuit('rescue-ambulance'), $input);
        self::assertEqualsCanonicalizing(['Intake duct', 'Undertray', 'Heat shield, right'], array_map(fn ($c) => $c->label, $materials->covers()));
        self::assertStringContainsString('thermostat gasket', implode(';', $materials->parts()));
        $close = $materials->toCloseUp(UnitSystem::Metric);
        self::assertSame('Thermostat: spring toward the engine, jiggle pin at the top, new gasket', $close['thermostat']);
        self::assertStringContainsString('9.0 N·m', $close['joint_upper_hose']);
        self::assertStringContainsString('18.4 ft·lb', $materials->toCloseUp(UnitSystem::UsCustomary)['drain_left_plug']);
        self::assertStringContainsString('by feel', $close['drain_radiator_cock']);
        self::assertArrayHasKey('cover_shield', $close, 'needed to run and in nobody’s way');
        self::assertSame(['cover_intake' => 'Back: Intake duct'], $materials->toRefitBeforeStart(), 'the bleed screw lies under it');
        self::assertSame(['cover_undertray' => 'Back: Undertray'], $materials->toRefitAtTheEnd());
        // In a vacuum fill nothing waits for the bleed points.
        self::assertSame([], (new Materials(self::circuit('rescue-ambulance'), $input->with('vacuum')))->toRefitBeforeStart());
    }

    /** @return array<string, array{\Closure(array<string, mixed>): array<string, mixed>, string}> */
    public static function brokenCovers(): array
    {
        $port = fn (array $change) => fn (array $doc) => [...$doc, 'ports' => [[...$doc['ports'][0], ...$change], ...array_slice($doc['ports'], 1)]];
        $passage = fn (array $change) => fn (array $doc) => [...$doc, 'passages' => [[...$doc['passages'][0], ...$change], ...array_slice($doc['passages'], 1)]];

        return [
            'no such cover' => [$port(['behind' => ['bonnet']]), 'ports.0.behind.0'], 'cover no name' => [$port(['behind' => 'undertray']), 'ports.0.behind'], 'minutes' => [$port(['minutes' => -3]), 'ports.0.minutes'],
            'parts no list' => [$passage(['parts' => 'gasket']), 'passages.0.parts'], 'part no text' => [$passage(['parts' => [7]]), 'passages.0.parts.0'], 'torque' => [$passage(['torque_nm' => 9000]), 'passages.0.torque_nm'],
            'two of one id' => [fn (array $doc) => [...$doc, 'covers' => [['id' => 'a'], ['id' => 'a']]], 'covers.1.id'],
        ];
    }

    #[DataProvider('brokenCovers')]
    public function test_a_circuit_with_broken_covers_or_parts_is_refused_at_its_place(\Closure $break, string $field): void
    {
        $document = json_decode((string) file_get_contents(__DIR__.'/../../database/demo/circuits/rescue-ambulance.json'), true);
        try {
            CircuitReader::read($break($document));
            self::fail('read');
        } catch (InvalidField $refused) {
            self::assertSame($field, $refused->field);
        }
    }

    /** Prices are invented; the sums are the check. */
    public function test_shopping_compares_concentrate_and_premix_in_whole_containers(): void
    {
        $offers = [
            new Offer('c5', Offer::CONCENTRATE, 5000, 32.0, 1.0, Glycol::Ethylene, 'family A'), new Offer('c1', Offer::CONCENTRATE, 1500, 11.0, 1.0, Glycol::Ethylene, 'family A'),
            new Offer('p5', Offer::PREMIX, 5000, 26.0, 0.5, Glycol::Ethylene, 'family A'), new Offer('w', Offer::WATER, 5000, 4.0, 0.0),
        ];
        $need = new Mix(Volume::millilitres(9000), Volume::millilitres(0), 0.0, 0.5);
        [$first, $second] = Shopping::ways($need, $offers);
        // 4500 · 1.15 = 5175 mL of each: 5 + 1.5 L concentrate and two cans of water; premix 10350 mL: three cans.
        self::assertSame([Offer::CONCENTRATE, 32.0 + 11.0 + 8.0], [$first->stock, $first->cost]);
        self::assertSame([Offer::PREMIX, 78.0], [$second->stock, $second->cost]);
        self::assertEqualsWithDelta(6500 - 5175, $first->leftOverMl[Offer::CONCENTRATE], 0.1);
        [$shelf] = Shopping::ways($need, $offers, [new PartUsed('1', Offer::CONCENTRATE, 2000, 1.0, Glycol::Ethylene, 'family A')]);
        self::assertSame(32.0 + 8.0, $shelf->cost, 'what stands on the shelf is not bought');
        self::assertEqualsWithDelta(2000, $shelf->fromShelfMl[Offer::CONCENTRATE], 0.1);
        // With water retained premix cannot reach the target and comes last, however cheap.
        $ways = Shopping::ways(new Mix(Volume::millilitres(9000), Volume::millilitres(2600), 0.0, 0.5), [...$offers, new Offer('p1', Offer::PREMIX, 5000, 1.0, 0.5, Glycol::Ethylene, 'family A')]);
        self::assertFalse(end($ways)->mix->reachable());
        self::assertTrue($ways[0]->mix->reachable());
        self::assertFalse(Shopping::ways($need, [])[0]->offered);
    }

    public function test_only_the_same_base_and_family_suits(): void
    {
        $stores = new Inventory([new PartUsed('1', Offer::PREMIX, 900, 0.5, Glycol::Ethylene, 'Family A, organic acid'), new PartUsed('2', Offer::PREMIX, 900, 0.5, Glycol::Propylene, 'family A, organic acid'), new PartUsed('3', Offer::PREMIX, 900, 0.5, Glycol::Ethylene, 'family B')]);
        self::assertSame(['1'], array_map(fn (PartUsed $c) => $c->id, $stores->suiting(Glycol::Ethylene, 'family A organic acid')->shelf), 'spelling is folded, nothing else');
    }

    public function test_whichever_interval_is_used_up_first_decides(): void
    {
        $rule = new ChangeInterval(80_000, 36, 2_000);
        self::assertNull($rule->used(null, null, null));
        self::assertSame(['share' => 0.5, 'by' => 'distance'], $rule->used(40_000, 12, null));
        self::assertSame('running hours', $rule->used(1_000, 6, 1_900)['by']);
        $input = JobOnPaper::on('rescue-ambulance', choices: ['usage' => ['odometer_km' => 120_000.0, 'since_km' => 76_000.0, 'since_months' => 20.0]])->input;
        self::assertTrue(NextChange::before($input)['due']);
        self::assertStringContainsString('at 200,000 km', NextChange::after($input, UnitSystem::Metric));
        self::assertStringContainsString('at 124,274 mi', NextChange::after($input, UnitSystem::UsCustomary));
    }

    // -- make safe and look --------------------------------------------------------------------------------------

    public function test_findings_add_parts_steps_waits_and_notes(): void
    {
        $found = ['hoses' => 'watch', 'clamps' => 'replace', 'cap' => 'worn', 'fins' => 'clogged', 'tank' => 'dirty', 'pipes' => 'rusty', 'watch' => 'fan bearing sings'];
        $job = JobOnPaper::on('rescue-ambulance')->write('inspect', 'condition', $found)->finish('inspect');
        self::assertContains('put_right', $job->steps());
        $todo = implode(';', $job->obstacles('put_right'));
        foreach (['New clamps', 'New cap at hand, rated 110', 'fins', 'Tank cleaned'] as $text) {
            self::assertStringContainsString($text, $todo);
        }
        self::assertStringContainsString('hoses ageing; metal pipes rusty; fan bearing sings', $job->judge('inspect')->reason);
        self::assertStringContainsString('New cap fitted', implode(';', $job->obstacles('close_up')));
        $job->write('put_right', 'waiting', ['part' => 'cap', 'until' => 7200.0]);
        $clock = StepCatalogue::all()['put_right']->clock($job->at('put_right'));
        self::assertSame(7200, $clock->until - $clock->since);
        self::assertNotContains('put_right', JobOnPaper::on('rescue-ambulance')->write('inspect', 'condition', ['hoses' => 'good', 'cap' => 'good'])->finish('inspect')->steps());
    }

    public function test_the_drip_is_found_before_the_drain_or_gas_is_tested_for(): void
    {
        $job = JobOnPaper::on('rescue-ambulance', choices: ['jobKind' => 'lost'])->write('found', 'found', ['content' => 'low', 'missing' => 4000.0])->write('find_drip', 'topped', ['volume' => 4000.0, 'vessel' => self::JUG, 'liquid' => 'water']);
        self::assertLessThan(0.5, $job->state()->ledger()->fraction(), 'the water counts in the mixture');
        self::assertStringContainsString('above the cap', $job->refusal('find_drip', 'test', ['start' => 130.0, 'end' => 130.0, 'held' => 300.0]));
        $job->write('find_drip', 'test', ['start' => 90.0, 'end' => 90.0, 'held' => 300.0])->write('find_drip', 'drip', ['place' => 'none', 'gas' => 'undone']);
        self::assertStringContainsString('combustion gas', $job->obstacles('find_drip')[0]);
        self::assertSame('stop', $job->write('find_drip', 'drip', ['place' => 'none', 'gas' => 'gas'])->judge('find_drip')->tone);
        self::assertSame([], $job->write('find_drip', 'drip', ['place' => 'pump', 'where' => 'weep hole', 'gas' => 'undone'])->obstacles('find_drip'));
        self::assertContains('Not ticked: Mended: pump, weep hole', $job->obstacles('close_up'));
    }

    // -- drain ----------------------------------------------------------------------------------------------------

    public function test_a_cap_left_on_holds_the_coolant_back(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('drain:radiator_cock', 'opened', ['cap' => 'on'])->write('drain:radiator_cock', 'out', ['volume' => 2000.0, 'vessel' => self::PAN, 'flow' => 'early']);
        self::assertStringContainsString('The cap is still on', $job->judge('drain:radiator_cock')->reason);
        self::assertStringContainsString('cap is still on', implode(';', $job->obstacles('drain:radiator_cock')));
        $job->write('drain:radiator_cock', 'cap_off')->write('drain:radiator_cock', 'out', ['volume' => 7500.0, 'vessel' => self::PAN, 'flow' => 'ran']);
        self::assertSame('pass', $job->judge('drain:radiator_cock')->tone, 'what comes out afterwards is added');
    }

    public function test_a_seized_plug_sends_to_another_point(): void
    {
        $job = JobOnPaper::on('rescue-ambulance', choices: ['drains' => ['left_plug']])->write('drain:left_plug', 'out', ['volume' => 0.0, 'vessel' => self::PAN, 'flow' => 'blocked'])
            ->write('drain:left_plug', 'remedy', ['remedy' => 'other', 'point' => 'radiator_cock'])->finish('drain:left_plug');
        self::assertContains('drain:radiator_cock', $job->steps());
        self::assertGreaterThan(3000.0, $job->at('drain:radiator_cock')->param('predicted_ml'));
    }

    public function test_what_was_missing_at_the_top_is_not_expected_from_the_drain(): void
    {
        $full = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'full']);
        $low = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'low', 'missing' => 3000.0]);
        $expected = fn (JobOnPaper $job, string $port) => StepCatalogue::all()['drain']->figure($job->at("drain:{$port}"))->base;
        self::assertEqualsWithDelta(3000.0, $expected($full, 'radiator_cock') - $expected($low, 'radiator_cock'), 1.0);
        self::assertEqualsWithDelta($expected($full, 'left_plug'), $expected($low, 'left_plug'), 1.0);
        // Full to the mark, not to the brim: the headspace comes out of no drain.
        self::assertEqualsWithDelta($full->state()->ledger()->contentMl - $full->state()->plan->predicted['retained_ml'], array_sum(array_map(fn (string $p) => $expected($full, $p), ['radiator_cock', 'left_plug', 'right_plug'])), 5.0);
    }

    public function test_the_difference_names_the_part_that_did_not_drain(): void
    {
        $drained = fn (float $right) => JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'full'])->write('drain:radiator_cock', 'out', ['volume' => 9640.0, 'vessel' => self::PAN, 'flow' => 'ran'])
            ->write('drain:left_plug', 'out', ['volume' => 650.0, 'vessel' => self::JUG, 'flow' => 'ran'])->write('drain:right_plug', 'out', ['volume' => $right, 'vessel' => self::JUG, 'flow' => 'ran']);
        self::assertSame('As predicted', $drained(640.0)->judge('reconcile:1')->verdict);
        self::assertSame('Right bank, lower jacket probably did not drain', $drained(30.0)->judge('reconcile:1')->verdict);
        self::assertNotSame([], $drained(30.0)->obstacles('reconcile:1'));
        self::assertSame([], $drained(30.0)->write('reconcile:1', 'accepted')->obstacles('reconcile:1'));
        $table = StepCatalogue::all()['reconcile']->tables($drained(30.0)->at('reconcile:1'))[0];
        self::assertContains('Heater core', array_column($table->rows, 0));
        $unread = StepCatalogue::all()['reconcile']->tables($drained(30.0)->write('drain:radiator_cock', 'out', ['volume' => -1500.0, 'vessel' => self::PAN, 'flow' => 'ran'])->at('reconcile:1'))[0]->rows;
        self::assertContains(['Not accounted for', '1.50 L', 'more than the ± of vessels and model: Radiator drain cock gave 1.50 L less than expected'], $unread);
        // Much more inside than the model keeps, with every point as it should be.
        $more = JobOnPaper::on('rescue-ambulance', choices: ['drains' => ['radiator_cock', 'left_plug']])->write('found', 'found', ['content' => 'full'])->write('drain:radiator_cock', 'out', ['volume' => 7000.0, 'vessel' => self::PAN, 'flow' => 'ran'])
            ->write('drain:left_plug', 'out', ['volume' => 650.0, 'vessel' => self::JUG, 'flow' => 'ran']);
        self::assertSame('wait', $more->judge('reconcile:1')->tone);
        self::assertContains('drain:right_plug', $more->write('reconcile:1', 'more', ['point' => 'right_plug'])->finish('reconcile:1')->steps());
        self::assertContains('reconcile:2', $more->steps());
    }

    public function test_only_clean_coolant_of_the_right_family_goes_back_in(): void
    {
        self::assertStringContainsString('waste', (string) JobOnPaper::on('rescue-ambulance')->refusal('look', 'seen', ['coolant' => 'rusty', 'next' => 'reuse']));
        self::assertNotNull(JobOnPaper::on('rescue-ambulance', choices: ['content' => 'family'])->refusal('look', 'seen', ['coolant' => 'clean', 'next' => 'reuse']));
        self::assertNull(JobOnPaper::on('rescue-ambulance')->refusal('look', 'seen', ['coolant' => 'clean', 'next' => 'reuse']));
        $job = self::drainedAmbulance()->write('look', 'seen', ['coolant' => 'clean', 'next' => 'reuse']);
        self::assertContains('reused', array_map(fn ($form) => $form->name, StepCatalogue::all()['mix']->forms($job->at('mix'))));
        self::assertEqualsWithDelta(0.5, StepCatalogue::all()['mix']->complete($job->at('mix'), 'reused', ['volume' => 9000.0])['fraction'], 0.01);
    }

    // -- rinse ----------------------------------------------------------------------------------------------------

    public function test_a_rinse_chain_conserves_volume_and_thins_the_old_by_the_same_share_each_time(): void
    {
        mt_srand(11);
        for ($chain = 0; $chain < 200; $chain++) {
            $capacity = mt_rand(2000, 80000);
            $keeps = mt_rand(5, 60) / 100;
            $lines = [new Line('found', $capacity, 0, 0.5, true), new Line('out', -(1 - $keeps) * $capacity, 0, null)];
            for ($n = 1; $n <= 4; $n++) {
                $lines = [...$lines, new Line('in', (1 - $keeps) * $capacity, 0, 0.0), new Line('out', -(1 - $keeps) * $capacity, 0, null)];
                $ledger = new Ledger($capacity, 0.0, $lines);
                self::assertEqualsWithDelta($keeps ** ($n + 1), $ledger->oldShare(), 1e-9);
                self::assertEqualsWithDelta($keeps * $capacity, $ledger->contentMl, 1e-6);
                self::assertEqualsWithDelta($ledger->inMl() - $ledger->outMl(), $ledger->contentMl, 1e-6);
                self::assertEqualsWithDelta(0.5 * $ledger->oldMl, $ledger->glycolMl, 1e-6, 'glycol leaves with the old coolant, never by itself');
            }
            $target = mt_rand(1, 40) / 100;
            $wanted = RinseChain::until((float) $capacity, $keeps * $capacity, $target);
            self::assertLessThanOrEqual($target + 1e-9, $wanted->oldFraction);
            self::assertTrue($wanted->rinses === 0 || $wanted->oldFraction / $keeps > $target - 1e-9, 'one fewer would not do');
            self::assertEqualsWithDelta($wanted->rinses, RinseChain::from($keeps, $keeps, (float) $capacity, $target)->rinses, 0);
        }
    }

    public function test_one_more_drain_saves_rinses(): void
    {
        $job = JobOnPaper::on('school-minibus', choices: ['content' => 'family', 'drains' => ['radiator_cock'], 'opened' => []])->write('found', 'found', ['content' => 'full'])
            ->write('drain:radiator_cock', 'out', ['volume' => 6000.0, 'vessel' => self::PAN, 'flow' => 'ran'])->write('look', 'seen', ['coolant' => 'clean', 'next' => 'waste']);
        $rows = StepCatalogue::all()['rinse']->tables($job->at('rinse'))[0]->rows;
        self::assertCount(2, $rows);
        self::assertGreaterThanOrEqual((int) $rows[1][1], (int) $rows[0][1]);
        self::assertLessThan((float) $rows[0][3], (float) $rows[1][3], 'the same number leaves less of the old');
        self::assertStringContainsString('Block plug', $rows[1][0]);
        self::assertStringContainsString('Old coolant must not stay', $job->write('rinse', 'decision', ['rinse' => 'skip'])->obstacles('rinse')[0]);
        self::assertContains('rinse:2', $job->write('rinse', 'more', ['point' => 'block_plug'])->finish('rinse')->steps());
    }

    public function test_a_thorough_drain_needs_no_rinse_even_between_families(): void
    {
        $job = JobOnPaper::on('piste-groomer', choices: ['content' => 'family', 'opened' => []])->write('found', 'found', ['content' => 'full']);
        $full = $job->state()->ledger()->contentMl;
        $job->write('drain:radiator_cock', 'out', ['volume' => 0.97 * $full, 'vessel' => self::PAN, 'flow' => 'ran'])->write('look', 'seen', ['coolant' => 'clean']);
        self::assertSame('No rinse needed', $job->judge('rinse')->verdict);
        self::assertStringContainsString('3 % of the full circuit would be old coolant; 5 % may stay', $job->judge('rinse')->reason);
    }

    public function test_where_nothing_came_out_the_old_coolant_is_not_called_gone(): void
    {
        $job = JobOnPaper::on('rescue-ambulance', choices: ['content' => 'family'])->write('found', 'found', ['content' => 'full']);
        self::assertSame('wait', $job->judge('rinse')->tone);
        self::assertNotSame([], $job->write('rinse', 'decision', ['rinse' => 'skip'])->obstacles('rinse'));
    }

    public function test_each_cycle_has_its_own_warm_up_cool_down_and_drain(): void
    {
        $job = self::drainedAmbulance(['content' => 'family'])->write('look', 'seen', ['coolant' => 'clean'])->write('rinse', 'decision', ['rinse' => 'hot', 'times' => '2'])->finish('rinse');
        $cycle = fn (int $n) => ["rinse_fill:{$n}", "rinse_run:{$n}", "cool_down:rinse{$n}", "rinse_drain:{$n}"];
        self::assertSame($cycle(1), array_values(array_intersect($job->steps(), $cycle(1))));
        self::assertSame([], array_intersect($job->steps(), $cycle(2)));
        $job->write('rinse_drain:1', 'water_out', ['volume' => 10000.0, 'vessel' => self::PAN, 'runs' => 'clear', 'closed' => true])->finish('rinse_drain:1');
        self::assertSame($cycle(2), array_values(array_intersect($job->steps(), $cycle(2))), 'the second one decided on');
        $job->write('rinse_drain:2', 'water_out', ['volume' => 10000.0, 'vessel' => self::PAN, 'runs' => 'coloured', 'closed' => true]);
        self::assertSame('Not clear yet', $job->judge('rinse_drain:2')->verdict);
        self::assertContains('rinse_fill:3', $job->finish('rinse_drain:2')->steps(), 'until it runs clear');
    }

    public function test_water_boils_before_the_thermostat_opens_under_a_funnel_at_1420_m_and_not_under_the_cap(): void
    {
        $job = self::drainedAmbulance()->write('look', 'seen', ['coolant' => 'rusty'])->write('rinse', 'decision', ['rinse' => 'hot', 'times' => '1'])->finish('rinse')
            ->write('rinse_fill:1', 'water_in', ['volume' => 10900.0, 'vessel' => self::PAN]);
        self::assertSame('It boils early here', $job->judge('rinse_run:1')->verdict);
        self::assertStringContainsString('Never in a closed shop', (string) $job->refusal('rinse_run:1', 'start', ['place' => 'closed', 'neck' => 'open']));
        $funnel = (clone $job)->write('rinse_run:1', 'start', ['place' => 'outdoors', 'neck' => 'funnel'])->write('rinse_run:1', 'reading', ['ect' => 88.0, 'far' => 80.0, 'sign' => 'none']);
        self::assertSame('Shut off now', $funnel->judge('rinse_run:1')->verdict);
        self::assertTrue($funnel->isHard('rinse_run:1'), 'a running engine is never left');
        $sealed = $job->write('rinse_run:1', 'start', ['place' => 'outdoors', 'neck' => 'sealed'])->write('rinse_run:1', 'reading', ['ect' => 95.0, 'far' => 88.0, 'sign' => 'none']);
        self::assertSame('Mixed', $sealed->judge('rinse_run:1')->verdict);
        self::assertSame([], $sealed->write('rinse_run:1', 'shut_off')->obstacles('rinse_run:1'));
        self::assertStringContainsString('min ago', (string) $sealed->refusal('cool_down:rinse1', 'rested', ['since' => 9 * 3600.0]), 'the rinse ran the engine too');
    }

    public function test_a_back_flush_turns_what_stood_in_the_part_into_water(): void
    {
        $job = self::drainedAmbulance()->write('rinse', 'decision', ['rinse' => 'backflush', 'times' => '1'])->finish('rinse');
        $before = $job->state()->ledger();
        $after = $job->write('back_flush', 'ticked', ['heater' => true])->state()->ledger();
        self::assertEqualsWithDelta($before->contentMl, $after->contentMl, 1e-6);
        self::assertLessThan(0.2 * $before->oldMl, $after->oldMl, 'the heater core kept nearly all of it');
    }

    public function test_a_shut_thermostat_leaves_the_radiator_unrinsed_cold(): void
    {
        $job = JobOnPaper::on('compact-loader', choices: ['opened' => []]);
        self::assertStringContainsString('Upper radiator hose', implode(' ', StepCatalogue::all()['rinse']->instructions($job->at('rinse'))));
        $flow = $job->write('found', 'found', ['content' => 'full'])->write('rinse', 'decision', ['rinse' => 'flow', 'times' => '1'])->finish('rinse')->write('rinse_flow', 'water_in', ['volume' => 8000.0, 'vessel' => self::PAN]);
        self::assertNotSame([], $flow->obstacles('rinse_flow'));
        self::assertSame('Runs clear', $flow->write('rinse_flow', 'water_out', ['volume' => 7500.0, 'vessel' => self::PAN, 'runs' => 'clear'])->judge('rinse_flow')->verdict);
    }

    /** @return array<string, array{string, string, float}> */
    public static function whatMayStay(): array
    {
        return ['other family' => ['family', 'clean', 0.05], 'gel in the pan' => ['manual', 'gel', 0.01], 'rust' => ['manual', 'rusty', 0.05], 'other base' => ['base', 'clean', 0.05]];
    }

    #[DataProvider('whatMayStay')]
    public function test_how_much_of_the_old_may_stay(string $content, string $seen, float $share): void
    {
        $job = self::drainedAmbulance(['content' => $content])->write('look', 'seen', ['coolant' => $seen]);
        self::assertEqualsWithDelta($share, StepCatalogue::all()['rinse']->figure($job->at('rinse'))->datum, 1e-9);
        self::assertSame('wait', $job->judge('rinse')->tone);
    }

    // -- close up and mix -------------------------------------------------------------------------------------------

    public function test_the_cure_gates_vacuum_and_pressure_and_nothing_before(): void
    {
        foreach (['vacuum' => 'pull:1', 'gravity' => 'pressure_test'] as $school => $gated) {
            $steps = JobOnPaper::on('rescue-ambulance', $school, cure: 90.0)->steps();
            self::assertSame(array_search($gated, $steps, true) - 1, array_search('cured', $steps, true));
        }
        $steps = JobOnPaper::on('rescue-ambulance', cure: 90.0, choices: ['tools' => []])->steps();
        self::assertSame(array_search('heat_cycle:1', $steps, true) - 1, array_search('cured', $steps, true), 'without a tester the first pressure is the warm-up');
        $job = JobOnPaper::on('rescue-ambulance', cure: 90.0)->write('cure', 'started');
        self::assertSame([], $job->obstacles('cure'), 'closing up goes on meanwhile');
        self::assertStringContainsString('no vacuum and no pressure', $job->obstacles('cured')[0]);
        self::assertFalse($job->isHard('cured'), 'a typed reason passes it');
        self::assertSame([], $job->wait(90 * 60)->obstacles('cured'));
    }

    public function test_the_bucket_is_mixed_to_the_marks_of_the_vessel(): void
    {
        $job = self::drainedAmbulance();
        $text = implode(' ', StepCatalogue::all()['mix']->instructions($job->at('mix')));
        self::assertStringContainsString('Mixing bucket, 0.25 L marks: concentrate to the 6.25 L mark', $text);
        self::assertStringContainsString('Or inside', $text);
        self::assertStringNotContainsString('Or inside', implode(' ', StepCatalogue::all()['mix']->instructions(JobOnPaper::on('rescue-ambulance', 'vacuum')->at('mix'))));
        self::assertStringContainsString('Add 1.50 L concentrate', $job->write('mix', 'batch', ['concentrate' => 5000.0, 'water' => 6500.0])->judge('mix')->reason);
        self::assertSame('pass', $job->write('mix', 'batch', ['concentrate' => 1500.0, 'water' => 0.0])->judge('mix')->tone, 'only what was added is entered');
    }

    public function test_out_of_reach_says_what_rescues_it(): void
    {
        $job = JobOnPaper::on('school-minibus', choices: ['content' => 'water', 'targetFraction' => 0.6, 'drains' => ['radiator_cock'], 'opened' => []])->write('found', 'found', ['content' => 'water'])
            ->write('drain:radiator_cock', 'out', ['volume' => 6300.0, 'vessel' => self::PAN, 'flow' => 'ran']);
        self::assertSame('Out of reach', $job->judge('mix')->verdict);
        self::assertStringContainsString('Block plug opened too, it reaches', $job->judge('mix')->reason);
        self::assertStringContainsString('accept', (clone $job)->write('mix', 'batch', ['concentrate' => 7000.0, 'water' => 0.0])->obstacles('mix')[0]);
        self::assertContains('mix:2', $job->write('mix', 'more', ['point' => 'block_plug'])->finish('mix')->steps());
    }

    public function test_batches_take_from_the_shelf_and_leave_part_used_containers(): void
    {
        $job = self::drainedAmbulance();
        $at = $job->at('mix');
        $stores = new Inventory([new PartUsed('7', Offer::CONCENTRATE, 2000, 1.0, Glycol::Ethylene, 'family C, no silicate')], [new Offer('3', Offer::CONCENTRATE, 5000, 30, 1.0, Glycol::Ethylene, 'family C, no silicate')]);
        $at = $at->job->at($at->step, $at->now, $at->units, $stores);
        $kind = StepCatalogue::all()['mix'];
        $entry = fn (string $from, float $ml) => new Entry(9, 0, '', 'mix', 'batch', ['concentrate' => $ml, 'water' => 0.0, 'from' => $from]);
        self::assertSame([['7', -1800.0]], array_map(fn ($line) => [$line->container, $line->ml], $kind->shelf($at, $entry('shelf:7', 1800.0))));
        [$rest] = $kind->shelf($at, $entry('new:3', 6200.0));
        self::assertEqualsWithDelta(3800.0, $rest->ml, 1e-6, 'two cans opened, the rest of the second stays');
        self::assertSame([], $kind->shelf($at, $entry('elsewhere', 6200.0)));
        $this->expectException(InvalidField::class);
        $this->expectExceptionMessage('holds only 2.00 L');
        $kind->admit($at, 'batch', ['concentrate' => 2500.0, 'water' => 0.0, 'from' => 'shelf:7']);
    }

    public function test_what_is_left_of_the_batch_gets_a_label(): void
    {
        $job = self::drainedAmbulance()->write('mix', 'batch', ['concentrate' => 6000.0, 'water' => 6000.0])->write('fill_level', 'poured', ['volume' => 10900.0, 'vessel' => self::JUG])->write('fill_level', 'returned', ['caught' => 100.0, 'left' => 300.0, 'spilt' => 0.0]);
        $kind = StepCatalogue::all()['left_over'];
        self::assertEqualsWithDelta(12000 - 10900 + 300, $kind->figure($job->at('left_over'))->base, 1.0);
        $label = implode(' ', array_merge(...$kind->tables($job->at('left_over'))[0]->rows));
        foreach (['50 % glycol by volume', 'ethylene glycol, family C', '−37 °C', 'Poisonous'] as $text) {
            self::assertStringContainsString($text, $label);
        }
        [$kept] = $kind->shelf($job->at('left_over'), new Entry(1, 0, '', 'left_over', 'kept', ['volume' => 1400.0]));
        self::assertSame([1400.0, 0.5], [$kept->ml, $kept->new->fraction]);
    }

    public function test_a_weak_circuit_asks_for_a_stronger_top_up_and_the_liquid_counts(): void
    {
        $weak = self::drainedAmbulance()->write('mix', 'batch', ['concentrate' => 4500.0, 'water' => 6500.0])->write('fill_level', 'poured', ['volume' => 10500.0, 'vessel' => self::JUG]);
        self::assertStringContainsString('make the next top-up concentrate', MixCoolant::nextPour($weak->at('cold_level:1')));
        $before = $weak->state()->ledger()->glycolMl;
        $after = fn (string $liquid) => (clone $weak)->write('cold_level:1', 'topped', ['volume' => 400.0, 'vessel' => self::JUG, 'liquid' => $liquid])->state()->ledger()->glycolMl - $before;
        self::assertEqualsWithDelta(400.0, $after('concentrate'), 1e-6);
        self::assertEqualsWithDelta(0.0, $after('water'), 1e-6);
        self::assertEqualsWithDelta(400.0 * 4500 / 11000, $after('batch'), 1e-6);
        self::assertSame('', MixCoolant::nextPour(self::drainedAmbulance()->at('cold_level:1')), 'on target there is nothing to say');
    }

    public function test_the_baseline_stands_beside_the_same_readings_afterwards(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('baseline', 'baseline', ['ran' => 'outdoors', 'plateau' => 104.0, 'outlet_front' => 31.0])->write('heat_cycle:1', 'start', ['neck' => 'sealed', 'place' => 'outdoors'])
            ->write('heat_cycle:1', 'reading', ['ect' => 96.0, 'far' => 90.0, 'outlet_front' => 67.0, 'sign' => 'none', 'bubbles' => 'hidden'])->write('heat_cycle:1', 'fan_on');
        self::assertContains(['Outlet air, front', '31 °C', '67 °C'], StepCatalogue::all()['heat_cycle']->tables($job->at('heat_cycle:1'))[0]->rows);
        self::assertContains(['Fan on', '–', '96 °C'], StepCatalogue::all()['heat_cycle']->tables($job->at('heat_cycle:1'))[0]->rows);
        self::assertNotNull($job->state()->lastRan(), 'a baseline run warms the engine too');
        self::assertNull(JobOnPaper::on('rescue-ambulance')->write('baseline', 'baseline', ['ran' => 'no'])->state()->lastRan());
    }

    public function test_a_job_planned_before_all_this_still_opens(): void
    {
        $state = self::drainedAmbulance()->write('rinse', 'water_in', ['volume' => 5000.0, 'vessel' => self::PAN])->write('inspect', 'condition', ['hoses' => 'good', 'cap' => 'worn', 'drips' => ''])->state();
        $old = $state->plan->toArray();
        $old['predicted'] = array_diff_key($old['predicted'], array_flip(['lets_out', 'slow', 'further', 'rinses', 'usable_ml', 'reachable', 'final_fraction']));
        $old['input'] = array_diff_key($old['input'], array_flip(['content', 'stockFraction', 'frostC', 'usage']));
        $old['input']['rules'] = array_diff_key($old['input']['rules'], array_flip(['oldShare', 'changeFirst', 'changeLater', 'currency']));
        $old['steps'] = array_values(array_filter($old['steps'], fn (array $step) => ! in_array($step['kind'], ['reconcile', 'refit', 'left_over'], true)));
        $reopened = new JobState($state->circuit, Plan::fromArray($old), $state->journal);
        foreach ($reopened->steps as $step) {
            $kind = StepCatalogue::of($step);
            $at = $reopened->at($step, 2_000_000);
            array_map(fn (string $method) => $kind->{$method}($at), ['title', 'why', 'instructions', 'forms', 'obstacles', 'hazards', 'figure', 'judge', 'clock', 'tables', 'orders', 'ports', 'comparedWith']);
        }
        self::assertEqualsWithDelta($state->ledger()->contentMl, $reopened->ledger()->contentMl, 1e-6);
        self::assertGreaterThan(5000.0, $reopened->ledger()->contentMl, 'its rinse water still counts');
    }

    /** @param  array<string, mixed>  $choices */
    private static function drainedAmbulance(array $choices = []): JobOnPaper
    {
        return JobOnPaper::on('rescue-ambulance', choices: $choices)->write('found', 'found', ['content' => 'full'])->write('drain:radiator_cock', 'out', ['volume' => 9640.0, 'vessel' => self::PAN, 'flow' => 'ran'])
            ->write('drain:left_plug', 'out', ['volume' => 650.0, 'vessel' => self::JUG, 'flow' => 'ran'])->write('drain:right_plug', 'out', ['volume' => 650.0, 'vessel' => self::JUG, 'flow' => 'ran']);
    }

    private static function circuit(string $key): \Aqbel\Core\Circuit\Circuit
    {
        return CircuitReader::read(json_decode((string) file_get_contents(__DIR__."/../../database/demo/circuits/{$key}.json"), true));
    }
}
