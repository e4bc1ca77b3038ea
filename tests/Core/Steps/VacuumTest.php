<?php

declare(strict_types=1);

namespace Tests\Core\Steps;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Judged\Gauge;
use Aqbel\Core\Saying\Tone;
use Aqbel\Core\Values;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** Hold and pressure. */
final class VacuumTest extends TestCase
{
    public function test_a_leaking_hold_orders_the_hunt_and_another_hold(): void
    {
        $job = JobOnPaper::on('rescue-ambulance', 'vacuum');
        foreach ([72.0, 69.0, 66.0, 63.0] as $kpa) {
            $job->write('hold:1', 'reading', ['vacuum' => $kpa], 120);
        }
        self::assertSame(Tone::Stop, $job->judge('hold:1')->tone);
        $job->finish('hold:1');
        $ids = array_keys($job->state()->steps);
        $at = array_search('hold:1', $ids, true);
        self::assertSame(['leak_hunt:2', 'pull:2', 'hold:2', 'vacuum_fill'], array_slice($ids, $at + 1, 4));
        self::assertEqualsWithDelta(71.3, Gauge::targetKpa($job->at('pull:2')), 0.1);
        self::assertNotSame([], $job->obstacles('leak_hunt:2'));
        self::assertSame(
            [],
            $job->write('leak_hunt:2', 'checked', ['suspect' => 'seal', 'result' => 'mended'])
                ->obstacles('leak_hunt:2'),
        );
    }

    public function test_a_settling_hold_is_restarted_not_hunted(): void
    {
        $job = JobOnPaper::on('rescue-ambulance', 'vacuum');
        foreach ([[71.3, 60], [66.0, 60], [65.0, 180], [64.8, 300], [64.8, 300], [64.8, 60]] as [$kpa, $later]) {
            $job->write('hold:1', 'reading', ['vacuum' => $kpa], $later);
        }
        self::assertSame('Settling', $job->judge('hold:1')->title);
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
                JobOnPaper::kind('pressure_test')->admit($job->at('pressure_test'), 'test', new Values($values));
                self::fail('accepted');
            } catch (InvalidField $refused) {
                self::assertNotSame('', $refused->getMessage());
            }
        }
        self::assertSame(
            Tone::Stop,
            $job->write('pressure_test', 'test', ['start' => 90.0, 'end' => 70.0])->judge('pressure_test')->tone,
        );
        self::assertSame(
            'Too short',
            JobOnPaper::on('rescue-ambulance')
                ->write('pressure_test', 'test', ['start' => 90.0, 'end' => 90.0, 'held' => 30.0], 900)
                ->judge('pressure_test')
                ->title,
        );
        self::assertNotSame(
            [],
            $job->write('pressure_test', 'declined', ['why' => 'tester away'])->obstacles('pressure_test'),
            'a test that failed is not undone by “not done”',
        );
        self::assertSame(
            [],
            JobOnPaper::on('rescue-ambulance')
                ->write('pressure_test', 'declined', ['why' => 'tester away'])
                ->obstacles('pressure_test'),
        );
    }
}
