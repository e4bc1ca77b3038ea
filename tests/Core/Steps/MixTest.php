<?php

declare(strict_types=1);

namespace Tests\Core\Steps;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Mixing\Compatibility;
use Aqbel\Core\Saying\Tone;
use Aqbel\Core\Steps\TopUp;
use Aqbel\Core\Stores\Inventory;
use Aqbel\Core\Stores\Liquid;
use Aqbel\Core\Stores\Offer;
use Aqbel\Core\Stores\PartUsed;
use Aqbel\Core\Values;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** The batch, its vessel, the shelf and what is left over. */
final class MixTest extends TestCase
{
    public function test_the_bucket_is_mixed_to_the_marks_of_the_vessel(): void
    {
        $job = JobOnPaper::drainedAmbulance();
        $text = implode(' ', JobOnPaper::kind('mix')->instructions($job->at('mix')));
        self::assertStringContainsString('Mixing bucket, 0.25 L marks: concentrate to the 6.25 L mark', $text);
        self::assertStringContainsString('Or inside', $text);
        self::assertStringNotContainsString(
            'Or inside',
            implode(
                ' ',
                JobOnPaper::kind('mix')->instructions(JobOnPaper::on('rescue-ambulance', 'vacuum')->at('mix')),
            ),
        );
        self::assertStringContainsString(
            'Add 1.50 L concentrate',
            $job->write('mix', 'batch', ['concentrate' => 5000.0, 'water' => 6500.0])->judge('mix')->reason,
        );
        self::assertSame(
            Tone::Pass,
            $job->write('mix', 'batch', ['concentrate' => 1500.0, 'water' => 0.0])->judge('mix')->tone,
            'only what was added is entered',
        );
    }

    public function test_premix_of_the_strength_that_is_wanted_is_no_stop(): void
    {
        $job = JobOnPaper::drainedAmbulance(['stockFraction' => 0.5, 'targetFraction' => 0.5]);
        self::assertNull($job->judge('mix'));
        $job->write('mix', 'batch', ['concentrate' => 11_500.0, 'water' => 0.0]);
        self::assertSame('On target', $job->judge('mix')->title);
    }

    public function test_out_of_reach_says_what_rescues_it(): void
    {
        $drained = fn (float $ml): JobOnPaper => JobOnPaper::on(
            'school-minibus',
            choices: [
                'content' => Compatibility::Water,
                'targetFraction' => 0.6,
                'drains' => ['radiator_cock'],
                'opened' => [],
            ],
        )
            ->write('found', 'found', ['content' => 'water'])
            ->write('drain:radiator_cock', 'out', ['volume' => $ml, 'vessel' => 'pan', 'flow' => 'ran']);
        $job = $drained(5500.0);
        self::assertSame('Out of reach', $job->judge('mix')->title);
        self::assertStringContainsString('Block plug opened too, it reaches', $job->judge('mix')->reason);
        self::assertStringContainsString(
            'accept',
            (clone $job)->write('mix', 'batch', ['concentrate' => 5000.0, 'water' => 2000.0])->obstacles('mix')[0],
        );
        self::assertNull(
            $drained(6300.0)->judge('mix'),
            'what counts as on target once poured is not out of reach before',
        );
        $nearly = $drained(6300.0)->write('mix', 'batch', ['concentrate' => 7000.0, 'water' => 0.0]);
        self::assertSame('On target', $nearly->judge('mix')->title);
        self::assertSame([], $nearly->obstacles('mix'), 'on target and out of reach are never said together');
        self::assertContains('mix:2', $job->write('mix', 'more', ['point' => 'block_plug'])->finish('mix')->steps());
    }

    public function test_batches_take_from_the_shelf_and_leave_part_used_containers(): void
    {
        $job = JobOnPaper::drainedAmbulance();
        $at = $job->at('mix');
        $stores = new Inventory(
            [new PartUsed('7', Liquid::Concentrate, 2000, 1.0, Glycol::Ethylene, 'family C, no silicate')],
            [new Offer('3', Liquid::Concentrate, 5000, 30, 1.0, Glycol::Ethylene, 'family C, no silicate')],
        );
        $at = $at->job->at($at->step, $at->now, $at->units, $stores);
        $kind = JobOnPaper::kind('mix');
        $entry = fn (string $from, float $ml) => new Entry(
            9,
            0,
            '',
            'mix',
            'batch',
            new Values(['concentrate' => $ml, 'water' => 0.0, 'from' => $from]),
        );
        self::assertSame(
            [['7', -1800.0]],
            array_map(fn ($line) => [$line->container, $line->ml], $kind->shelf($at, $entry('shelf:7', 1800.0))),
        );
        [$rest] = $kind->shelf($at, $entry('new:3', 6200.0));
        self::assertEqualsWithDelta(3800.0, $rest->ml, 1e-6, 'two cans opened, the rest of the second stays');
        self::assertSame([], $kind->shelf($at, $entry('elsewhere', 6200.0)));
        $this->expectException(InvalidField::class);
        $this->expectExceptionMessage('holds only 2.00 L');
        $kind->admit($at, 'batch', new Values(['concentrate' => 2500.0, 'water' => 0.0, 'from' => 'shelf:7']));
    }

    public function test_what_is_left_of_the_batch_gets_a_label(): void
    {
        $job = JobOnPaper::drainedAmbulance()
            ->write('mix', 'batch', ['concentrate' => 6000.0, 'water' => 6000.0])
            ->write('fill_level', 'poured', ['volume' => 10900.0, 'vessel' => 'jug'])
            ->write('fill_level', 'returned', ['caught' => 100.0, 'left' => 300.0, 'spilt' => 0.0]);
        $kind = JobOnPaper::kind('left_over');
        self::assertEqualsWithDelta(12000 - 10900 + 300, $kind->figure($job->at('left_over'))->base, 1.0);
        $label = implode(' ', array_merge(...$kind->tables($job->at('left_over'))[0]->rows));
        foreach (['50 % glycol by volume', 'ethylene glycol, family C', '−37 °C', 'Poisonous'] as $text) {
            self::assertStringContainsString($text, $label);
        }
        [$kept] = $kind->shelf(
            $job->at('left_over'),
            new Entry(1, 0, '', 'left_over', 'kept', new Values(['volume' => 1400.0])),
        );
        self::assertSame([1400.0, 0.5], [$kept->ml, $kept->new->fraction]);
    }

    public function test_a_weak_circuit_asks_for_a_stronger_top_up_and_the_liquid_counts(): void
    {
        $weak = JobOnPaper::drainedAmbulance()
            ->write('mix', 'batch', ['concentrate' => 4500.0, 'water' => 6500.0])
            ->write('fill_level', 'poured', ['volume' => 10500.0, 'vessel' => 'jug']);
        self::assertStringContainsString('make the next top-up concentrate', TopUp::next($weak->at('cold_level:1')));
        $before = $weak->state()->ledger()->glycolMl;
        $after = fn (string $liquid) => (clone $weak)->write(
            'cold_level:1',
            'topped',
            ['volume' => 400.0, 'vessel' => 'jug', 'liquid' => $liquid],
        )->state()->ledger()->glycolMl - $before;
        self::assertEqualsWithDelta(400.0, $after('concentrate'), 1e-6);
        self::assertEqualsWithDelta(0.0, $after('water'), 1e-6);
        self::assertEqualsWithDelta(400.0 * 4500 / 11000, $after('batch'), 1e-6);
        self::assertSame(
            '',
            TopUp::next(JobOnPaper::drainedAmbulance()->at('cold_level:1')),
            'on target there is nothing to say',
        );
    }

    public function test_the_batch_that_is_asked_for_lands_on_target_whatever_is_retained(): void
    {
        mt_srand(5);
        foreach (['rescue-ambulance', 'yard-tractor', 'standby-generator', 'taxi-electronics'] as $key) {
            for ($try = 0; $try < 25; $try++) {
                $stock = mt_rand(0, 3) === 0 ? 0.5 : 1.0;
                $target = $stock < 1.0 ? mt_rand(30, 45) / 100 : mt_rand(35, 58) / 100;
                $job = JobOnPaper::on(
                    $key,
                    choices: [
                        'targetFraction' => $target,
                        'stockFraction' => $stock,
                        'content' => mt_rand(0, 1) ? Compatibility::AsManual : Compatibility::Water,
                        'opened' => [],
                    ],
                )
                    ->write('found', 'found', ['content' => 'full']);
                $full = $job->state()->ledger()->contentMl;
                $port = $job->state()->stepsOf('drain')[0]->params->text('port');
                $job->write(
                    "drain:{$port}",
                    'out',
                    ['volume' => mt_rand(55, 99) / 100 * $full, 'vessel' => 'jug', 'flow' => 'ran'],
                );
                $kind = JobOnPaper::kind('mix');
                if (array_filter(
                    $kind->obstacles($job->at('mix')),
                    fn ($o) => str_contains($o->text, 'cannot be reached'),
                ) !== [] || $job->judge('mix') !== null) {
                    self::assertSame('Out of reach', $job->judge('mix')?->title);

                    continue;
                }
                $form = array_values(array_filter($kind->forms($job->at('mix')), fn ($f) => $f->name === 'batch'))[0];
                $asked = array_map(
                    fn ($field) => (float) $field->default,
                    array_column(array_map(fn ($f) => [$f->name, $f], $form->fields), 1, 0),
                );
                self::assertSame(
                    Tone::Pass,
                    $job->write('mix', 'batch', ['concentrate' => $asked['concentrate'], 'water' => $asked['water']])
                        ->judge('mix')?->tone,
                    "{$key}, {$target}, stock {$stock}: {$job->judge('mix')?->reason}",
                );
                self::assertGreaterThanOrEqual(
                    0.95 * ($full - $job->state()->ledger()->contentMl),
                    $asked['concentrate'] + $asked['water'],
                    'enough for the room there is',
                );
            }
        }
    }

    public function test_no_jug_is_filled_to_a_mark_above_its_rim(): void
    {
        $job = JobOnPaper::on('yard-tractor')->write('found', 'found', ['content' => 'full'])
            ->write('drain:block_plug', 'out', ['volume' => 2250.0, 'vessel' => 'jug', 'flow' => 'ran']);
        $told = implode(' ', JobOnPaper::kind('mix')->instructions($job->at('mix')));
        self::assertStringContainsString('load by load with the measuring jug', $told);
        self::assertDoesNotMatchRegularExpression(
            '/to the [\d.]+ L mark/',
            $told,
            'a jug of 0.1 L marks holds two litres',
        );
    }

    public function test_what_is_added_to_a_wrong_batch_puts_it_right(): void
    {
        mt_srand(6);
        for ($try = 0; $try < 40; $try++) {
            $job = JobOnPaper::on('rescue-ambulance')
                ->write('found', 'found', ['content' => 'full'])
                ->write('drain:radiator_cock', 'out', ['volume' => 9600.0, 'vessel' => 'pan', 'flow' => 'ran'])
                ->write(
                    'mix',
                    'batch',
                    ['concentrate' => (float) mt_rand(1000, 9000), 'water' => (float) mt_rand(1000, 9000)],
                );
            $form = array_values(
                array_filter(JobOnPaper::kind('mix')->forms($job->at('mix')), fn ($f) => $f->name === 'batch'),
            )[0];
            [$stock, $water] = array_map(fn ($field) => (float) $field->default, array_slice($form->fields, 0, 2));
            if ($stock + $water > 0.0) {
                $job->write('mix', 'batch', ['concentrate' => $stock, 'water' => $water]);
            }
            self::assertSame(
                'On target',
                $job->judge('mix')->title,
                "added {$stock} and {$water}: {$job->judge('mix')->reason}",
            );
        }
    }

    public function test_rinse_water_left_inside_makes_the_bucket_stronger(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'full'])
            ->write('drain:radiator_cock', 'out', ['volume' => 11730.0, 'vessel' => 'pan', 'flow' => 'ran'])
            ->write('rinse', 'decision', ['rinse' => 'hot', 'times' => '1'])->finish('rinse')
            ->write('rinse_fill:1', 'water_in', ['volume' => 11000.0, 'vessel' => 'bucket'])
            ->write('rinse_drain:1', 'water_out', ['volume' => 9000.0, 'vessel' => 'bucket', 'runs' => 'clear']);
        $figure = JobOnPaper::kind('mix')->figure($job->at('mix'));
        // 11.73 L at 50 % with 2 L of water inside: 5.865 L glycol in 9.73 L.
        self::assertEqualsWithDelta(5.865 / 9.73, $figure->base, 0.005);
        self::assertStringContainsString('2.00 L at 0 %', JobOnPaper::kind('mix')->why($job->at('mix')));
        self::assertSame(
            Tone::Pass,
            $job->write('mix', 'batch', ['concentrate' => 6030.0, 'water' => 3970.0])->judge('mix')->tone,
        );
        self::assertSame(
            Tone::Wait,
            $job->write('mix', 'batch', ['concentrate' => 9000.0, 'water' => 1000.0])->judge('mix')->tone,
            'a second entry adds to the batch',
        );
    }
}
