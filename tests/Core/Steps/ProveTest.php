<?php

declare(strict_types=1);

namespace Tests\Core\Steps;

use Aqbel\Core\Saying\Tone;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** The strength after the drive. */
final class ProveTest extends TestCase
{
    public function test_a_refractometer_off_the_plan_says_what_to_pour_next(): void
    {
        self::assertSame(
            Tone::Pass,
            JobOnPaper::on('rescue-ambulance')
                ->write('refractometer', 'freeze', ['freeze' => -37.0])
                ->judge('refractometer')
                ->tone,
        );
        self::assertStringContainsString(
            'concentrate',
            JobOnPaper::on('rescue-ambulance')
                ->write('refractometer', 'freeze', ['freeze' => -20.0])
                ->judge('refractometer')
                ->reason,
        );
    }

    public function test_the_sign_off_names_what_was_not_done(): void
    {
        $said = fn (JobOnPaper $job): string => implode(
            ' ',
            JobOnPaper::kind('sign_off')->instructions($job->at('sign_off')),
        );
        self::assertStringContainsString('No step was passed over.', $said(JobOnPaper::on('rescue-ambulance')));
        $declined = $said(
            JobOnPaper::on('rescue-ambulance')
                ->write('drain:left_plug', 'left_shut', ['why' => 'seized'])
                ->write('pressure_test', 'declined', ['why' => 'no time']),
        );
        self::assertStringContainsString(
            'Not done: Drain: Left block plug (seized); Pressure test, cold (no time).',
            $declined,
        );
        self::assertStringNotContainsString('No step was passed over.', $declined);
    }

    public function test_what_the_sums_of_a_small_machine_could_not_tell_is_said_where_it_is_read_and_signed(): void
    {
        $said = function (string $circuit, string $drain, string $vessel): array {
            $job = JobOnPaper::on($circuit)
                ->write('found', 'found', ['content' => 'full'])
                ->write("drain:{$drain}", 'out', ['volume' => 1500.0, 'vessel' => $vessel, 'flow' => 'ran'])
                ->write('fill_level', 'poured', ['volume' => 1500.0, 'vessel' => 'jug']);

            return array_map(
                fn (string $step) => implode(' ', JobOnPaper::kind(strtok($step, ':'))->instructions($job->at($step))),
                ["drain:{$drain}", 'sign_off'],
            );
        };
        [$drain, $sign] = $said('yard-tractor', 'radiator_cock', 'pan');
        self::assertStringContainsString(
            '22 % of all this circuit holds: better pour it over and read “Measuring jug', $drain);
        self::assertMatchesRegularExpression('/tell no air of less than 0\.\d+ L here, 1\d %/u', $sign);
        self::assertStringNotContainsString('tell no air', $said('yard-tractor', 'radiator_cock', 'jug')[1]);
        [$drain, $sign] = $said('rescue-ambulance', 'radiator_cock', 'pan');
        self::assertStringNotContainsString('pour it over', $drain);
        self::assertStringNotContainsString('tell no air', $sign);
    }
}
