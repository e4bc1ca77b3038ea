<?php

declare(strict_types=1);

namespace Tests\Core\Steps;

use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Saying\Tone;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** Inspection, and the drip that is looked for first. */
final class MakeSafeTest extends TestCase
{
    public function test_a_point_that_was_left_shut_is_not_tightened(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'full']);
        self::assertStringContainsString('Left block plug', implode(';', $job->obstacles('close_up')));
        $job->write('drain:left_plug', 'left_shut', ['why' => 'Seized']);
        $items = implode(';', $job->obstacles('close_up'));
        self::assertStringNotContainsString('Left block plug', $items);
        self::assertStringContainsString('Right block plug', $items);
    }

    public function test_findings_add_parts_steps_waits_and_notes(): void
    {
        $found = [
            'hoses' => 'watch',
            'clamps' => 'replace',
            'cap' => 'worn',
            'fins' => 'clogged',
            'tank' => 'dirty',
            'pipes' => 'rusty',
            'watch' => 'fan bearing sings',
        ];
        $job = JobOnPaper::on('rescue-ambulance')->write('inspect', 'condition', $found)->finish('inspect');
        self::assertContains('put_right', $job->steps());
        $todo = implode(';', $job->obstacles('put_right'));
        foreach (['New clamps', 'New cap at hand, rated 110', 'fins', 'Tank cleaned'] as $text) {
            self::assertStringContainsString($text, $todo);
        }
        self::assertStringContainsString(
            'hoses ageing; metal pipes rusty; fan bearing sings',
            $job->judge('inspect')->reason,
        );
        self::assertStringContainsString('New cap fitted', implode(';', $job->obstacles('close_up')));
        $job->write('put_right', 'waiting', ['part' => 'cap', 'until' => 7200.0]);
        $clock = JobOnPaper::kind('put_right')->clock($job->at('put_right'));
        self::assertSame(7200, $clock->until - $clock->since);
        self::assertNotContains(
            'put_right',
            JobOnPaper::on('rescue-ambulance')
                ->write('inspect', 'condition', ['hoses' => 'good', 'cap' => 'good'])
                ->finish('inspect')
                ->steps(),
        );
    }

    public function test_the_drip_is_found_before_the_drain_or_gas_is_tested_for(): void
    {
        $job = JobOnPaper::on('rescue-ambulance', choices: ['jobKind' => JobKind::Lost, 'opened' => []])
            ->write('found', 'found', ['content' => 'low', 'missing' => 4000.0])
            ->write('find_drip', 'topped', ['volume' => 4000.0, 'vessel' => 'jug', 'liquid' => 'water']);
        self::assertLessThan(0.5, $job->state()->ledger()->fraction(), 'the water counts in the mixture');
        self::assertStringContainsString(
            'above the cap',
            $job->refusal('find_drip', 'test', ['start' => 130.0, 'end' => 130.0, 'held' => 300.0]),
        );
        $job->write('find_drip', 'test', ['start' => 90.0, 'end' => 90.0, 'held' => 300.0])
            ->write('find_drip', 'drip', ['place' => 'none', 'gas' => 'undone']);
        self::assertStringContainsString('combustion gas', $job->obstacles('find_drip')[0]);
        self::assertSame(
            Tone::Stop,
            $job->write('find_drip', 'drip', ['place' => 'none', 'gas' => 'gas'])->judge('find_drip')->tone,
        );
        self::assertSame(
            [],
            $job->write('find_drip', 'drip', ['place' => 'pump', 'where' => 'weep hole', 'gas' => 'undone'])
                ->obstacles('find_drip'),
        );
        self::assertContains('Not ticked: Mended: pump, weep hole', $job->obstacles('close_up'));
    }
}
