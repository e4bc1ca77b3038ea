<?php

declare(strict_types=1);

namespace Tests\Core\Vacuum;

use App\Run\TracePicture;
use Aqbel\Core\Quantity\UnitSystem;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** The fitted line through the readings of a hold. */
final class TraceTest extends TestCase
{
    public function test_the_believed_leak_runs_through_the_readings(): void
    {
        $job = JobOnPaper::on('rescue-ambulance', school: 'vacuum');
        foreach ([71.0, 67.6, 64.2, 60.9] as $kpa) {
            $job->write('hold:1', 'reading', ['vacuum' => $kpa], 180);
        }
        $trace = JobOnPaper::kind('hold')->trace($job->at('hold:1'));
        self::assertCount(4, $trace->readings);
        self::assertSame([0.0, 540.0], [$trace->fitted[0][0], $trace->fitted[24][0]]);
        self::assertEqualsWithDelta(71.0, $trace->fitted[0][1], 1e-9);
        self::assertEqualsWithDelta(60.9, $trace->fitted[24][1], 0.1);
        $picture = new TracePicture($trace, UnitSystem::Metric);
        self::assertSame(['21.0 inHg', '18.0 inHg', '9 min'], [$picture->from(), $picture->to(), $picture->minutes()]);
        foreach ($picture->dots() as [$x, $y]) {
            self::assertGreaterThan(0, $x);
            self::assertLessThan($picture::WIDTH, $x);
            self::assertGreaterThan(0, $y);
            self::assertLessThan($picture::HEIGHT, $y);
        }
        self::assertSame(25, substr_count($picture->line(), ','));
    }

    public function test_one_reading_draws_nothing_and_a_moved_adapter_no_line(): void
    {
        $job = JobOnPaper::on('rescue-ambulance', school: 'vacuum')->write('hold:1', 'reading', ['vacuum' => 71.0], 120);
        self::assertNull(JobOnPaper::kind('hold')->trace($job->at('hold:1')));
        foreach ([71.0, 71.0, 62.0, 62.0, 62.0, 62.0] as $kpa) {
            $job->write('hold:1', 'reading', ['vacuum' => $kpa], 120);
        }
        self::assertSame([], JobOnPaper::kind('hold')->trace($job->at('hold:1'))->fitted);
        self::assertSame('', (new TracePicture(JobOnPaper::kind('hold')->trace($job->at('hold:1')), UnitSystem::UsCustomary))->line());
    }
}
