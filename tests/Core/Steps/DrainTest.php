<?php

declare(strict_types=1);

namespace Tests\Core\Steps;

use Aqbel\Core\Mixing\Compatibility;
use Aqbel\Core\Saying\Tone;
use Aqbel\Core\Values;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** What came out, held against what should have. */
final class DrainTest extends TestCase
{
    public function test_a_cap_left_on_holds_the_coolant_back(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')
            ->write('drain:radiator_cock', 'opened', ['cap' => 'on'])
            ->write('drain:radiator_cock', 'out', ['volume' => 2000.0, 'vessel' => 'pan', 'flow' => 'early']);
        self::assertStringContainsString('The cap is still on', $job->judge('drain:radiator_cock')->reason);
        self::assertStringContainsString('cap is still on', implode(';', $job->obstacles('drain:radiator_cock')));
        $job->write('drain:radiator_cock', 'cap_off')
            ->write('drain:radiator_cock', 'out', ['volume' => 7500.0, 'vessel' => 'pan', 'flow' => 'ran']);
        self::assertSame(Tone::Pass, $job->judge('drain:radiator_cock')->tone, 'what comes out afterwards is added');
    }

    public function test_what_ran_down_the_engine_is_wiped_before_it_is_closed_up(): void
    {
        $out = fn (string $way): string => implode(
            ';',
            JobOnPaper::on('rescue-ambulance')
                ->write('drain:radiator_cock', 'elsewhere', ['way' => $way, 'volume' => 200.0, 'vessel' => 'pan'])
                ->obstacles('close_up'),
        );
        self::assertStringContainsString('wiped dry', $out('spill'));
        self::assertStringNotContainsString('wiped', $out('hose'), 'caught');
        $late = JobOnPaper::on('rescue-ambulance')->write('fill_level', 'elsewhere', [
            'way' => 'spill',
            'volume' => 200.0,
            'vessel' => 'pan',
        ]);
        self::assertStringNotContainsString(
            'wiped',
            implode(';', $late->obstacles('close_up')),
            'no step that is behind opens again',
        );
    }

    public function test_a_seized_plug_sends_to_another_point(): void
    {
        $job = JobOnPaper::on('rescue-ambulance', choices: ['drains' => ['left_plug']])
            ->write('drain:left_plug', 'out', ['volume' => 0.0, 'vessel' => 'pan', 'flow' => 'blocked'])
            ->write('drain:left_plug', 'remedy', ['remedy' => 'other', 'point' => 'radiator_cock'])
            ->finish('drain:left_plug');
        self::assertContains('drain:radiator_cock', $job->steps());
        self::assertGreaterThan(3000.0, JobOnPaper::kind('drain')->figure($job->at('drain:radiator_cock'))?->base);
    }

    public function test_what_was_missing_at_the_top_is_not_expected_from_the_drain(): void
    {
        $full = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'full']);
        $low = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'low', 'missing' => 3000.0]);
        $expected = fn (JobOnPaper $job, string $port) => JobOnPaper::kind('drain')->figure($job->at("drain:{$port}"))
            ?->base;
        self::assertEqualsWithDelta(3000.0, $expected($full, 'radiator_cock') - $expected($low, 'radiator_cock'), 1.0);
        self::assertEqualsWithDelta($expected($full, 'left_plug'), $expected($low, 'left_plug'), 1.0);
        // Full to the mark, not to the brim: the headspace comes out of no drain.
        self::assertEqualsWithDelta(
            $full->state()->ledger()->contentMl - $full->plan()->predicted->retainedMl,
            array_sum(array_map(fn (string $p) => $expected($full, $p), ['radiator_cock', 'left_plug', 'right_plug'])),
            5.0,
        );
    }

    public function test_the_difference_names_the_part_that_did_not_drain(): void
    {
        $drained = fn (float $right) => JobOnPaper::on('rescue-ambulance')->write(
            'found',
            'found',
            ['content' => 'full'],
        )->write(
            'drain:radiator_cock',
            'out',
            ['volume' => 9640.0, 'vessel' => 'pan', 'flow' => 'ran'],
        )
            ->write('drain:left_plug', 'out', ['volume' => 650.0, 'vessel' => 'jug', 'flow' => 'ran'])
            ->write('drain:right_plug', 'out', ['volume' => $right, 'vessel' => 'jug', 'flow' => 'ran']);
        self::assertSame('As predicted', $drained(640.0)->judge('reconcile:1')->title);
        self::assertSame(
            'Right bank, lower jacket probably did not drain',
            $drained(30.0)->judge('reconcile:1')->title,
        );
        self::assertNotSame([], $drained(30.0)->obstacles('reconcile:1'));
        self::assertSame([], $drained(30.0)->write('reconcile:1', 'accepted')->obstacles('reconcile:1'));
        $table = JobOnPaper::kind('reconcile')->tables($drained(30.0)->at('reconcile:1'))[0];
        self::assertContains('Heater core', array_column($table->rows, 0));
        $unread = JobOnPaper::kind('reconcile')
            ->tables(
                $drained(30.0)->write(
                    'drain:radiator_cock',
                    'out',
                    ['volume' => -1500.0, 'vessel' => 'pan', 'flow' => 'ran'],
                )->at('reconcile:1'),
            )[0]->rows;
        self::assertContains(
            [
                'Not accounted for',
                '1.50 L',
                'more than the ± of vessels and model: Radiator drain cock gave 1.50 L less than expected',
            ],
            $unread,
        );
        // Much more inside than the model keeps, with every point as it should be.
        $more = JobOnPaper::on('rescue-ambulance', choices: ['drains' => ['radiator_cock', 'left_plug']])
            ->write('found', 'found', ['content' => 'full'])
            ->write('drain:radiator_cock', 'out', ['volume' => 7000.0, 'vessel' => 'pan', 'flow' => 'ran'])
            ->write('drain:left_plug', 'out', ['volume' => 650.0, 'vessel' => 'jug', 'flow' => 'ran']);
        self::assertSame(Tone::Wait, $more->judge('reconcile:1')->tone);
        self::assertContains(
            'drain:right_plug',
            $more->write('reconcile:1', 'more', ['point' => 'right_plug'])->finish('reconcile:1')->steps(),
        );
        self::assertContains('reconcile:2', $more->steps());
    }

    public function test_what_one_point_gave_for_another_is_not_named_as_missing(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')
            ->write('found', 'found', ['content' => 'full'])
            ->write('drain:radiator_cock', 'out', ['volume' => 5500.0, 'vessel' => 'pan', 'flow' => 'ran'])
            ->write('drain:left_plug', 'out', ['volume' => 4550.0, 'vessel' => 'jug', 'flow' => 'ran'])
            ->write('drain:right_plug', 'out', ['volume' => 650.0, 'vessel' => 'jug', 'flow' => 'ran']);
        self::assertSame('as_predicted', $job->judge('reconcile:1')->code);
        foreach (JobOnPaper::kind('reconcile')->tables($job->at('reconcile:1'))[0]->rows as [, , $because]) {
            self::assertStringNotContainsString('gave too little', $because);
        }
    }

    public function test_only_clean_coolant_of_the_right_family_goes_back_in(): void
    {
        self::assertStringContainsString(
            'waste',
            (string) JobOnPaper::on('rescue-ambulance')
                ->refusal('look', 'seen', ['coolant' => 'rusty', 'next' => 'reuse']),
        );
        self::assertNotNull(
            JobOnPaper::on('rescue-ambulance', choices: ['content' => Compatibility::OtherFamily])
                ->refusal('look', 'seen', ['coolant' => 'clean', 'next' => 'reuse']),
        );
        self::assertNull(
            JobOnPaper::on('rescue-ambulance')->refusal('look', 'seen', ['coolant' => 'clean', 'next' => 'reuse']),
        );
        $job = JobOnPaper::drainedAmbulance()->write('look', 'seen', ['coolant' => 'clean', 'next' => 'reuse']);
        self::assertContains(
            'reused',
            array_map(fn ($form) => $form->name, JobOnPaper::kind('mix')->forms($job->at('mix'))),
        );
        self::assertEqualsWithDelta(
            0.5,
            JobOnPaper::kind('mix')
                ->complete($job->at('mix'), 'reused', new Values(['volume' => 9000.0]))
                ->number('fraction'),
            0.01,
        );
    }

    public function test_a_drain_is_held_against_its_prediction(): void
    {
        $radiator = fn (): JobOnPaper => JobOnPaper::on('rescue-ambulance')
            ->write('drain:radiator_cock', 'out', ['volume' => 9400.0, 'vessel' => 'pan', 'flow' => 'ran']);
        $job = $radiator()
            ->write('drain:left_plug', 'out', ['volume' => 650.0, 'vessel' => 'jug', 'flow' => 'ran']);
        self::assertSame(Tone::Pass, $job->judge('drain:left_plug')->tone);
        $short = $radiator()
            ->write('drain:left_plug', 'out', ['volume' => 100.0, 'vessel' => 'jug', 'flow' => 'early']);
        self::assertSame(Tone::Wait, $short->judge('drain:left_plug')->tone);
        self::assertStringContainsString('No air is getting in', $short->judge('drain:left_plug')->reason);
        self::assertStringContainsString('say what was done about it', $short->obstacles('drain:left_plug')[0]);
        self::assertStringContainsString('not recorded as closed', $short->obstacles('drain:left_plug')[1]);
    }

    public function test_a_part_is_named_only_where_nothing_speaks_against_it(): void
    {
        $all = fn (float $radiator, float $left, float $right): JobOnPaper => JobOnPaper::on('rescue-ambulance')
            ->write('found', 'found', ['content' => 'full'])
            ->write('drain:radiator_cock', 'out', ['volume' => $radiator, 'vessel' => 'jug', 'flow' => 'ran'])
            ->write('drain:left_plug', 'out', ['volume' => $left, 'vessel' => 'jug', 'flow' => 'ran'])
            ->write('drain:right_plug', 'out', ['volume' => $right, 'vessel' => 'jug', 'flow' => 'ran']);
        self::assertSame(
            'Left bank, lower jacket probably did not drain',
            $all(9640.0, 50.0, 650.0)->judge('reconcile:1')->title,
        );
        // More is missing than any one part above them holds.
        $two = JobOnPaper::on('standby-generator', choices: ['drains' => ['left_cock', 'right_cock'], 'opened' => []])
            ->write('found', 'found', ['content' => 'full'])
            ->write('drain:left_cock', 'out', [
                'volume' => 58_000.0,
                'vessel' => 'pan',
                'flow' => 'ran',
                'together' => 'with',
            ])
            ->write('drain:right_cock', 'out', [
                'volume' => 0.0,
                'vessel' => 'pan',
                'flow' => 'ran',
                'together' => 'with',
            ]);
        self::assertSame('Heat exchanger probably did not drain', $two->judge('reconcile:1')->title);
        self::assertStringContainsString(
            'Left jacket cock and Right jacket cock gave 13.16 L less',
            $two->judge('reconcile:1')->reason,
        );
        // The exchanger’s own plug ran dry: it is empty, and nothing else above them holds so much.
        $three = $two
            ->finish('drain:right_cock')
            ->write('reconcile:1', 'more', ['point' => 'exchanger_plug'])
            ->finish('reconcile:1')
            ->write('drain:exchanger_plug', 'out', ['volume' => 4000.0, 'vessel' => 'pan', 'flow' => 'ran'])
            ->finish('drain:exchanger_plug');
        self::assertSame(
            ['did_not_drain', 'Several parts did not drain'],
            [$three->judge('reconcile:2')->code, $three->judge('reconcile:2')->title],
        );
        self::assertStringContainsString(
            '60.0 N·m',
            implode(
                "\n",
                array_map(
                    fn ($field) => $field->label,
                    JobOnPaper::kind('close_up')->forms($three->at('close_up'))[0]->fields,
                ),
            ),
        );
    }

    public function test_what_was_spilt_was_read_in_no_vessel_and_is_not_in_the_drum(): void
    {
        $kind = JobOnPaper::kind('drain');
        $at = JobOnPaper::on('rescue-ambulance')->at('drain:radiator_cock');
        $told = fn (string $way): Values => $kind->complete(
            $at,
            'elsewhere',
            new Values(['way' => $way, 'volume' => 400.0, 'vessel' => 'pan']),
        );
        self::assertSame('', $told('spill')->text('vessel'));
        self::assertSame('pan', $told('hose')->text('vessel'));
        $waste = function (string $way) use ($told): float {
            $job = JobOnPaper::drainedAmbulance()->write('drain:radiator_cock', 'elsewhere', $told($way)->toArray());
            $form = JobOnPaper::kind('dispose')->forms($job->at('dispose'))[0];

            return (float) $form->fields[0]->default;
        };
        self::assertEqualsWithDelta(400.0, $waste('hose') - $waste('spill'), 0.1);
    }
}
