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
}
