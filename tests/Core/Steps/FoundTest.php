<?php

declare(strict_types=1);

namespace Tests\Core\Steps;

use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** What was in it. */
final class FoundTest extends TestCase
{
    public function test_content_found_is_never_simply_the_capacity(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'low', 'missing' => 2000.0]);
        $ledger = $job->state()->ledger();
        self::assertEqualsWithDelta(12390 - 660 - 2000, $ledger->contentMl, 1);
        self::assertGreaterThan(500, $ledger->plusMinusMl);
        self::assertEqualsWithDelta(
            0.0,
            JobOnPaper::on('rescue-ambulance')
                ->write('found', 'found', ['content' => 'empty'])
                ->state()
                ->ledger()
                ->contentMl,
            1e-6,
        );
        self::assertSame(
            0.0,
            JobOnPaper::on('rescue-ambulance')
                ->write('found', 'found', ['content' => 'water'])
                ->state()
                ->ledger()
                ->fraction(),
        );
        self::assertEqualsWithDelta(
            0.33,
            JobOnPaper::on('rescue-ambulance')
                ->write('found', 'found', ['content' => 'full', 'freeze' => -17.9])
                ->state()
                ->ledger()
                ->fraction(),
            0.01,
        );
    }
}
