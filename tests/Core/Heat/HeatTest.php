<?php

declare(strict_types=1);

namespace Tests\Core\Heat;

use Aqbel\Core\Heat\CoolDown;
use Aqbel\Core\Heat\CoolingBody;
use Aqbel\Core\Heat\Purging;
use Aqbel\Core\Heat\Reading;
use Aqbel\Core\Heat\StopLimit;
use Aqbel\Core\Heat\TopUp;
use Aqbel\Core\Heat\TopUps;
use Aqbel\Core\Heat\TopUpVerdict;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Quantity\Temperature;
use PHPUnit\Framework\TestCase;

final class HeatTest extends TestCase
{
    /** Common practice, no source: 95 °C falls to about 69 after 30 min and 43 after 90 min in 25 °C air. */
    public function test_a_single_reading_uses_a_typical_engine(): void
    {
        self::assertEqualsWithDelta(30, $this->predict([[0, 95]], 69.1)->minutesFromLast, 0.5);
        self::assertEqualsWithDelta(90, $this->predict([[0, 95]], 42.5)->minutesFromLast, 0.5);
    }

    public function test_readings_of_this_engine_are_weighed_with_the_shops(): void
    {
        $at = fn (float $minutes) => 25 + 70 * exp(-$minutes / 40);
        $found = $this->predict([[0, $at(0)], [10, $at(10)], [20, $at(20)]], 45);
        $true = 40 * log(70 / 20) - 20;
        self::assertEqualsWithDelta(40, $found->tauMinutes, 16);
        self::assertEqualsWithDelta($true, $found->minutesFromLast, 10);
        self::assertLessThan($true + 1.5, $found->minutesLow);
        self::assertGreaterThan($true, $found->minutesHigh);
        self::assertGreaterThan($found->minutesHigh, $found->comeBackMinutes);
        self::assertTrue($found->fitted);
        $later = $this->predict([[0, $at(0)], [20, $at(20)], [40, $at(40)]], 45);
        self::assertEqualsWithDelta($true - 20, $later->minutesFromLast, 2, 'the longer, the surer');
    }

    public function test_what_was_read_above_the_safe_temperature_is_never_safe_at_once(): void
    {
        // Slower than any engine of its kind: whatever curve fits best, it stood at 47 °C when it was read last.
        foreach ([[[0, 48], [30, 47]], [[0, 60], [15, 55], [60, 50]], [[0, 46], [20, 45.5]], [[0, 46]]] as $slow) {
            foreach ([-10.0, 5.0, 20.0, 35.0] as $outside) {
                $found = CoolDown::predict(
                    Temperature::celsius($outside),
                    array_map(fn (array $p) => new Reading((float) $p[0], Temperature::celsius((float) $p[1])), $slow),
                    Temperature::celsius(45.0),
                );
                self::assertGreaterThan(0.0, $found->minutesFromLast, json_encode([$slow, $outside]));
                self::assertGreaterThanOrEqual($found->minutesFromLast, $found->comeBackMinutes);
            }
        }
    }

    public function test_what_was_read_while_the_fan_ran_says_nothing_of_the_rest(): void
    {
        $by = fn (array $points, float $fan): CoolDown => CoolDown::predict(
            Temperature::celsius(20.0),
            array_map(fn (array $p) => new Reading((float) $p[0], Temperature::celsius((float) $p[1])), $points),
            Temperature::celsius(45.0),
            CoolingBody::of(fanRanOnMinutes: $fan),
        );
        [$all, $rest] = [[[0, 100], [5, 88], [10, 84], [30, 72]], [[10, 84], [30, 72]]];
        self::assertEquals($by($rest, 0.0), $by($all, 10.0));
        self::assertEquals($by($all, 0.0), $by($all, -1.0), 'it did not run on');
        self::assertNotEquals($by($all, 0.0), $by($all, 10.0));
        self::assertEquals($by([[30, 72]], 0.0), $by($all, 31.0), 'the last one says something all the same');
    }

    /** The invented default: 0.10 a minute at idle, 0.25 at 2,000, 0.35 at 3,000 rpm and above. */
    public function test_air_works_out_by_the_speed_of_the_engine(): void
    {
        $rates = [0.10, 0.10, 0.175, 0.25, 0.30, 0.35, 0.35];
        self::assertEqualsWithDelta(
            $rates,
            array_map(Purging::perMinute(...), [500.0, 800.0, 1400.0, 2000.0, 2500.0, 3000.0, 4500.0]),
            1e-9,
        );
    }

    public function test_what_does_not_cool_has_no_clock(): void
    {
        self::assertSame(0.0, $this->predict([[0, 20]], 45.0)->minutesFromLast, 'colder than the air it is cold');
        foreach ([
            [[], 45.0, 'readings'],
            [[[0, 80], [10, 25]], 45.0, 'readings.1.temp_c'],
            [[[0, 80], [10, 24]], 45.0, 'readings.1.temp_c'],
            [[[0, 80], [10, 82]], 45.0, 'readings.1.temp_c'],
            [[[0, 80]], 20.0, 'safe_c'],
            [[[0, 80], [0, 70]], 45.0, 'readings.1.t_min'],
        ] as [$points, $safe, $field]) {
            try {
                $this->predict($points, $safe);
                self::fail('accepted');
            } catch (InvalidField $invalid) {
                self::assertSame($field, $invalid->field);
            }
        }
    }

    public function test_the_stop_limit_is_the_lowest_of_the_three(): void
    {
        $limit = fn (float $boiling, ?float $fan, ?float $own) => new StopLimit(
            Temperature::celsius($boiling),
            $fan === null ? null : Temperature::celsius($fan),
            $own === null ? null : Temperature::celsius($own),
        );
        self::assertEqualsWithDelta(103, $limit(125, 98, 108)->limit->degC(), 1e-9);
        self::assertTrue($limit(125, 98, 108)->fanCanProve());
        self::assertEqualsWithDelta(93, $limit(103, 98, 108)->limit->degC(), 1e-9);
        self::assertFalse($limit(103, 98, 108)->fanCanProve());
        self::assertEqualsWithDelta(95, $limit(125, 98, 95)->limit->degC(), 1e-9);
        self::assertFalse($limit(125, null, null)->fanCanProve());
    }

    /** Common practice, no source: a run in which the thermostat did not open moves no air, and no leak is told by it. */
    public function test_a_look_before_the_air_moved_takes_nothing_and_tells_nothing(): void
    {
        $series = fn (float ...$ml) => new TopUps(array_map(fn (float $v) => new TopUp($v, 15.0), $ml), 30.0);
        self::assertSame(TopUpVerdict::Air, $series(0, 400, 150, 60)->verdict);
        self::assertEqualsWithDelta($series(400, 150, 60)->stillToComeMl, $series(0, 400, 150, 60)->stillToComeMl, 1e-9);
        self::assertSame(TopUpVerdict::Settled, $series(10, 0, 300, 20)->verdict);
        self::assertSame(TopUpVerdict::Leak, $series(0, 200, 190, 210)->verdict, 'a leak that opened is one');
        self::assertSame(TopUpVerdict::Leak, $series(40, 200, 190, 210)->verdict);
        // What grows from look to look is no air that began to move.
        self::assertSame(TopUpVerdict::Leak, $series(0, 100, 200, 400)->verdict);
        // In the days after it has been warm before the first look.
        $days = array_map(fn (float $ml) => new TopUp($ml, 15.0), [0.0, 400.0, 150.0, 60.0]);
        self::assertNotEquals(new TopUps($days, 30.0), new TopUps($days, 30.0, true));
        // Where the hours tell, a short first stretch took little because it was short.
        $at = fn (float $ml, float $hours) => new TopUp($ml, 15.0, $hours);
        self::assertSame(
            TopUpVerdict::Leak,
            (new TopUps([$at(5, 1), $at(200, 25), $at(190, 49), $at(210, 73)], 30.0))->verdict,
        );
    }

    public function test_a_series_shrinks_only_where_less_went_in_than_the_time_before(): void
    {
        $shrinks = fn (float ...$ml) => (new TopUps(array_map(fn (float $v) => new TopUp($v, 15.0), $ml), 30.0))->shrinks;
        self::assertTrue($shrinks(400, 150));
        self::assertFalse($shrinks(150, 150));
        self::assertFalse($shrinks(150, 400));
        self::assertFalse($shrinks(400));
        self::assertFalse($shrinks());
    }

    /** Common practice, no source: 400, 150, 60 mL converge with about 40 mL to come; 200, 190, 210 mL are not air. */
    public function test_top_ups_converge_or_they_are_not_air(): void
    {
        $series = fn (float ...$ml) => new TopUps(array_map(fn (float $v) => new TopUp($v, 15.0), $ml), 30.0);
        self::assertSame(TopUpVerdict::Air, $series(400, 150, 60)->verdict);
        self::assertEqualsWithDelta(36, $series(400, 150, 60)->stillToComeMl, 8);
        self::assertLessThan(40, $series(400, 150, 60)->lowMl);
        self::assertGreaterThan(40, $series(400, 150, 60)->highMl);
        self::assertSame(TopUpVerdict::Leak, $series(200, 190, 210)->verdict);
        self::assertEqualsWithDelta(200, $series(200, 190, 210)->leakMlPerCycle, 5);
        self::assertSame(TopUpVerdict::Both, $series(500, 300, 220, 205, 200)->verdict);
        self::assertSame(TopUpVerdict::TooFew, $series(200)->verdict);
        self::assertSame(TopUpVerdict::TooFew, $series(150, 150)->verdict, 'two alike prove nothing yet');
        self::assertSame(TopUpVerdict::Settled, $series(300, 20)->verdict);
    }

    /** @param  list<array{float|int, float|int}>  $points */
    private function predict(array $points, float $safe): CoolDown
    {
        return CoolDown::predict(
            Temperature::celsius(25),
            array_map(fn (array $p) => new Reading((float) $p[0], Temperature::celsius((float) $p[1])), $points),
            Temperature::celsius($safe),
        );
    }
}
