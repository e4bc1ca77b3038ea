<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Plan\Format\ChoicesCodec;
use Aqbel\Core\Plan\Format\Stored;
use Aqbel\Core\Plan\LeftBehind;
use Aqbel\Core\Values;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;
use Tests\Demo;

/** What a job that was given up leaves to the next one on its vehicle. */
final class LeftBehindTest extends TestCase
{
    private static function ambulance(LeftBehind $left): JobOnPaper
    {
        return JobOnPaper::on('rescue-ambulance', choices: ['drains' => ['right_plug'], 'left' => $left]);
    }

    public function test_it_is_kept_with_the_choices_and_an_older_plan_has_none(): void
    {
        $apart = (new LeftBehind('J0007', signed: true))->with(['nose', 'off'], true, 1_700_000_000);
        foreach ([new LeftBehind('J0005', ['left_plug'], 2100.0, 340.0), new LeftBehind('J0006'), $apart] as $left) {
            $written = ChoicesCodec::write(self::ambulance($left)->choices);
            self::assertEquals($left, ChoicesCodec::read(Stored::of($written))->left);
            unset($written['left']);
            self::assertNull(ChoicesCodec::read(Stored::of($written))->left);
        }
        // Choices that are changed take it with them.
        $left = new LeftBehind('J0005', ['left_plug']);
        self::assertSame($left, self::ambulance($left)->choices->with('vacuum')->draining([])->left);
    }

    public function test_a_circuit_is_empty_only_where_its_ledger_can_say_so(): void
    {
        self::assertTrue((new LeftBehind('J1', [], 0.0, 0.0))->isEmpty());
        self::assertTrue((new LeftBehind('J1', [], 340.0, 340.0))->isEmpty());
        self::assertFalse((new LeftBehind('J1', [], 341.0, 340.0))->isEmpty());
        self::assertFalse((new LeftBehind('J1', [], null, 340.0))->isEmpty(), 'nobody recorded what was found');
    }

    public function test_what_was_left_open_is_closed_before_anything_is_filled(): void
    {
        $job = self::ambulance(new LeftBehind('J0005', ['left_plug', 'right_plug', 'gone_since']));
        $codes = array_map(
            fn ($obstacle) => $obstacle->code,
            JobOnPaper::kind('close_up')->obstacles($job->at('close_up')),
        );
        self::assertContains('not_ticked.left_open.left_plug', $codes);
        self::assertNotContains('not_ticked.left_open.right_plug', $codes, 'this job opens and closes that one itself');
        self::assertNotContains('not_ticked.left_open.gone_since', $codes, 'the circuit was changed meanwhile');
        $usual = JobOnPaper::on('rescue-ambulance', choices: ['drains' => ['right_plug']]);
        $of = fn (JobOnPaper $job): int => count(JobOnPaper::kind('close_up')->obstacles($job->at('close_up')));
        self::assertSame($of($usual) + 1, $of($job));
    }

    public function test_it_is_the_first_thing_that_is_said_and_the_likeliest_content(): void
    {
        $job = self::ambulance(new LeftBehind('J0005', ['left_plug'], 2100.0, 340.0));
        $found = JobOnPaper::kind('found');
        $said = $found->instructions($job->at('found'))[0];
        self::assertStringStartsWith(
            'J0005 was given up: 2.10 L ± 0.34 L inside by its ledger; open: Left block plug.',
            $said,
        );
        self::assertSame('partly', $found->forms($job->at('found'))[0]->fields[0]->default);
        // As it is preset it is also taken: what is missing stands in that ledger.
        $found->admit($job->at('found'), 'found', new Values(['content' => 'partly']));
        self::assertEqualsWithDelta(
            9_630.0,
            (float) $found
                ->complete($job->at('found'), 'found', new Values(['content' => 'partly']))
                ->number('missing'),
            1.0,
        );
        self::assertSame(
            500.0,
            $found
                ->complete($job->at('found'), 'found', new Values(['content' => 'low', 'missing' => 500.0]))
                ->number('missing'),
        );
        $hardly = self::ambulance(new LeftBehind('J0005', ['left_plug'], 11_530.0, 400.0));
        self::assertSame(
            'full',
            $found->forms($hardly->at('found'))[0]->fields[0]->default,
            'within what its ledger can tell',
        );
        $unknown = self::ambulance(new LeftBehind('J0006'));
        self::assertStringContainsString('nobody recorded', $found->instructions($unknown->at('found'))[0]);
        self::assertSame('full', $found->forms($unknown->at('found'))[0]->fields[0]->default);
    }

    public function test_a_bleed_point_left_open_is_closed_before_a_vacuum_that_uses_none(): void
    {
        $bleed = Demo::circuit('rescue-ambulance')->portIds(PortKind::Bleed)[0];
        $codes = fn (string $school): array => array_map(
            fn ($obstacle) => $obstacle->code,
            JobOnPaper::kind('close_up')->obstacles(
                JobOnPaper::on(
                    'rescue-ambulance',
                    school: $school,
                    choices: ['left' => new LeftBehind('J0005', [$bleed])],
                )->at('close_up'),
            ),
        );
        self::assertContains("not_ticked.left_open.{$bleed}", $codes('vacuum'));
        self::assertNotContains("not_ticked.left_open.{$bleed}", $codes('gravity'), 'its own step closes it');
    }

    public function test_what_nobody_has_closed_goes_on_to_the_job_after_the_next(): void
    {
        $job = self::ambulance(new LeftBehind('J0005', ['left_plug', 'right_plug'], 2100.0, 340.0));
        $untouched = LeftBehind::of($job->state(), 'J0007', 2_000_000);
        self::assertEquals(
            new LeftBehind('J0007', ['left_plug', 'right_plug'], 2100.0, 340.0),
            $untouched,
            'given up before anything was done',
        );

        $job->write('found', 'found', ['content' => 'full'])
            ->write('drain:right_plug', 'opened', ['cap' => 'off'])
            ->write('drain:right_plug', 'closed', ['washer' => true])
            ->write('close_up', 'ticked', ['left_open.left_plug' => true]);
        $closed = LeftBehind::of($job->state(), 'J0007', 2_000_000);
        self::assertSame([], $closed->open);
        self::assertGreaterThan(10_000.0, $closed->contentMl, 'its own ledger says what is inside');

        $again = self::ambulance(new LeftBehind('J0005', ['left_plug']))->write('drain:right_plug', 'opened', [
            'cap' => 'off',
        ]);
        self::assertSame(['right_plug', 'left_plug'], LeftBehind::of($again->state(), 'J0007', 2_000_000)->open);
    }

    public function test_a_signed_job_leaves_word_of_what_its_sums_miss_and_of_nothing_else(): void
    {
        $job = self::ambulance(new LeftBehind('J0005'))->write('found', 'found', ['content' => 'full']);
        self::assertNull(LeftBehind::signed($job->state(), 'J0007'), 'as full as it came');
        $job->write('drain:right_plug', 'out', ['volume' => 3000.0, 'vessel' => 'pan', 'flow' => 'ran']);
        $ledger = $job->state()->ledger();
        $left = LeftBehind::signed($job->state(), 'J0007');
        self::assertEqualsWithDelta($ledger->contentMl, $left?->contentMl, 0.1);
        self::assertTrue($left->signed);
        // Topped up since until its own error could be all that is missing.
        $error = $ledger->trappedAirPlusMinusMl();
        $missing = $ledger->trappedAirMl();
        self::assertNotNull(LeftBehind::signed($job->state(), 'J0007', $missing - $error - 1.0));
        self::assertNull(LeftBehind::signed($job->state(), 'J0007', $missing - $error + 1.0));
    }
}
