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
            self::assertLessThan($picture->height(), $y);
        }
        self::assertSame(25, substr_count($picture->line(), ','));
    }

    public function test_one_reading_draws_nothing_and_a_moved_adapter_no_line(): void
    {
        $job = JobOnPaper::on('rescue-ambulance', school: 'vacuum')->write(
            'hold:1',
            'reading',
            ['vacuum' => 71.0],
            120,
        );
        self::assertNull(JobOnPaper::kind('hold')->trace($job->at('hold:1')));
        foreach ([71.0, 71.0, 62.0, 62.0, 62.0, 62.0] as $kpa) {
            $job->write('hold:1', 'reading', ['vacuum' => $kpa], 120);
        }
        self::assertSame([], JobOnPaper::kind('hold')->trace($job->at('hold:1'))->fitted);
        self::assertSame(
            '',
            (new TracePicture(JobOnPaper::kind('hold')->trace($job->at('hold:1')), UnitSystem::UsCustomary))->line(),
        );
    }

    public function test_a_cool_down_shows_how_it_goes_on_to_where_the_neck_may_be_opened(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')
            ->ranHot('heat_cycle:1')
            ->write('cool_down:1', 'reading', ['ect' => 90.0, 'air' => 20.0], 900)
            ->write('cool_down:1', 'reading', ['ect' => 78.0, 'air' => 20.0], 900);
        $at = $job->at('cool_down:1');
        $trace = JobOnPaper::kind('cool_down')->trace($at);
        self::assertSame([[0.0, 90.0], [900.0, 78.0]], $trace->readings);
        self::assertSame([45.0, 'the neck may be opened'], [$trace->goal, $trace->goalLabel]);
        self::assertEqualsWithDelta([900.0, 78.0], $trace->fitted[0], 1.0e-6);
        $minutes = JobOnPaper::kind('cool_down')->judgement($at)->predicted->minutesFromLast;
        $crossing = array_values(array_filter($trace->fitted, fn (array $point) => $point[1] <= 45.0))[0][0] ?? INF;
        self::assertEqualsWithDelta(
            900.0 + 60.0 * $minutes,
            $crossing,
            (60.0 * $minutes) / 6.0,
            'the curve gets there when the clock says',
        );
        foreach ($trace->band as $i => [, $low, $high]) {
            self::assertLessThanOrEqual($trace->fitted[$i][1] + 1.0e-6, $low);
            self::assertGreaterThanOrEqual($trace->fitted[$i][1] - 1.0e-6, $high);
        }
        $picture = new TracePicture($trace, UnitSystem::UsCustomary);
        self::assertSame('113 °F the neck may be opened', $picture->goalSaid());
        self::assertSame(50, substr_count($picture->band(), ','));
        self::assertGreaterThan($picture->dots()[0][1], $picture->goal());
    }

    public function test_level_after_level_is_drawn_over_what_a_vessel_can_tell(): void
    {
        $job = JobOnPaper::on('rescue-ambulance', 'way:gravity+sealed++quiet_twice');
        $levels = fn () => JobOnPaper::kind('cold_level')->trace($job->at('cold_level:2'));
        $job->ranHot('heat_cycle:1')->write('cold_level:1', 'topped', ['volume' => 400.0, 'vessel' => 'syringe']);
        self::assertNull($levels(), 'one level is no curve');
        $job->ranHot('heat_cycle:2')->write('cold_level:2', 'topped', ['volume' => 150.0, 'vessel' => 'syringe']);
        self::assertCount(2, $levels()->readings);
        self::assertGreaterThan(0.0, $levels()->goal);
        self::assertSame('2 levels', (new TracePicture($levels(), UnitSystem::Metric))->minutes());
    }
}
