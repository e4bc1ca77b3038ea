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
}
