<?php

declare(strict_types=1);

namespace Tests\Core\Judged;

use Aqbel\Core\Job\Neck;
use Aqbel\Core\Judged\Cooling;
use Aqbel\Core\Judged\DriveRun;
use Aqbel\Core\Judged\EnoughToRun;
use Aqbel\Core\Judged\FanSeen;
use Aqbel\Core\Judged\HeaterAir;
use Aqbel\Core\Judged\HeaterWatch;
use Aqbel\Core\Judged\HotProofs;
use Aqbel\Core\Judged\MissingProof;
use Aqbel\Core\Judged\NeckHeat;
use Aqbel\Core\Judged\ProofCode;
use Aqbel\Core\Judged\Rise;
use Aqbel\Core\Judged\StopLimitAtNeck;
use Aqbel\Core\Observed\HotReading;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;
use Tests\Demo;

/**
 * The figures by which a run is judged, each tried a little on this side of its edge and a little on that. The ambulance
 * opens at 83 °C, is full open at 95, its fan comes at 98, and it is shut off at 103.
 */
final class HotRunEdgesTest extends TestCase
{
    use RunOnPaper;

    /** @return list<ProofCode> */
    private static function missing(JobOnPaper $job): array
    {
        $at = $job->at(self::RUN);

        return array_map(
            fn (MissingProof $one) => $one->code,
            HotProofs::of($at, StopLimitAtNeck::of($at, Neck::Sealed))->missing,
        );
    }

    /**
     * @return array<string, array{array<string, float>, array<string,
     * float>, string}> a danger, what is none yet, its code
     */
    public static function dangers(): array
    {
        return [
            'a far side as hot as coolant' => [
                ['ect' => 40.0, 'far' => 75.5],
                ['ect' => 40.0, 'far' => 74.5],
                'sensor_in_air',
            ],
            'a live reading that far below it' => [
                ['ect' => 54.5, 'far' => 80.0],
                ['ect' => 55.5, 'far' => 80.0],
                'sensor_in_air',
            ],
            'a far side that far behind a thermostat' => [
                ['ect' => 99.0, 'far' => 68.5],
                ['ect' => 99.0, 'far' => 69.5],
                'thermostat_shut',
            ],
            'that far past full open' => [
                ['ect' => 98.1, 'far' => 40.0],
                ['ect' => 97.9, 'far' => 40.0],
                'thermostat_shut',
            ],
            'at its limit' => [['ect' => 103.0, 'far' => 95.0], ['ect' => 102.9, 'far' => 95.0], 'limit'],
        ];
    }

    /**
     * @param  array<string, float>  $danger
     * @param  array<string, float>  $none
     */
    #[DataProvider('dangers')]
    public function test_a_danger_begins_there(array $danger, array $none, string $code): void
    {
        self::assertSame($code, self::read(self::running(), $danger)->judge(self::RUN)?->code);
        self::assertNotSame($code, self::read(self::running(), $none)->judge(self::RUN)?->code);
    }

    public function test_the_far_side_has_followed_within_fifteen_degrees(): void
    {
        self::assertNotContains(
            ProofCode::Thermostat,
            self::missing(self::read(self::running(), ['ect' => 96.0, 'far' => 81.5])),
        );
        self::assertContains(
            ProofCode::Thermostat,
            self::missing(self::read(self::running(), ['ect' => 96.0, 'far' => 80.5])),
        );
        self::assertNotContains(
            ProofCode::Thermostat,
            self::missing(self::read(self::running(), ['ect' => 83.1, 'far' => 80.0])),
        );
        self::assertContains(
            ProofCode::Thermostat,
            self::missing(self::read(self::running(), ['ect' => 82.9, 'far' => 80.0])),
        );
    }

    public function test_nothing_is_shown_in_the_first_minute(): void
    {
        $after = fn (int $seconds): array => self::missing(
            self::read(self::running(later: $seconds), ['ect' => 96.0, 'far' => 90.0]),
        );
        self::assertContains(ProofCode::RunOn, $after(59));
        self::assertNotContains(ProofCode::RunOn, $after(61));
    }

    public function test_an_engine_warms_by_fifteen_degrees_a_minute_and_two_places_differ_by_eight(): void
    {
        // From 60 °C two minutes later: 8 + 2 × 15 = 38 more, and no more than that.
        $rose = fn (float $to): bool => Rise::of(
            self::read(self::read(self::running(), ['ect' => 60.0], 120), ['ect' => $to])->at(self::RUN),
        )->doubted !== null;
        self::assertFalse($rose(97.5));
        self::assertTrue($rose(98.5));
        $atOnce = fn (float $to): bool => Rise::of(
            self::read(self::read(self::running(), ['ect' => 60.0], 0), ['ect' => $to])->at(self::RUN),
        )->doubted !== null;
        self::assertFalse($atOnce(67.7));
        self::assertTrue($atOnce(68.3));
        // From what was read cold half a day before it can have been any warmer since.
        $cold = fn (int $before): bool => Rise::of(
            self::read(
                JobOnPaper::on('rescue-ambulance')
                    ->write('cold_check', 'reading', ['ect' => 20.0], $before)
                    ->write(self::RUN, 'start', ['place' => 'outdoors', 'neck' => 'sealed'], 60),
                ['ect' => 90.0],
            )->at(self::RUN),
        )->doubted !== null;
        self::assertTrue($cold(12 * 3600 - 1800));
        self::assertFalse($cold(12 * 3600 + 1800));
    }

    public function test_a_heater_is_watched_for_three_minutes(): void
    {
        $cold = ['ect' => 91.0, 'far' => 86.0, 'outlet_front' => 20.0];
        $after = fn (int $seconds, float $ect = 91.0): ?string => self::read(
            self::read(self::running(), $cold, $seconds),
            ['ect' => $ect] + $cold,
            0,
        )->judge(self::RUN)?->code;
        self::assertSame('heater_watch', $after(175));
        self::assertSame('heater_cold', $after(185));
        self::assertSame('heater_watch', $after(60, 92.9));
        self::assertSame('heater_cold', $after(60, 93.1), 'it climbs');
        $from = fn (float $ect): ?string => self::read(self::running(), ['ect' => $ect] + $cold, 0)->judge(self::RUN)
            ?->code;
        self::assertSame('heater_watch', $from(90.1));
        self::assertSame('not_proven', $from(89.9), 'not warm enough to tell');
    }

    public function test_it_is_revved_no_nearer_to_the_limit_than_five_degrees(): void
    {
        $may = function (float $ect): bool {
            $at = self::read(self::running(), ['ect' => $ect, 'far' => 90.0, 'outlet_front' => 20.0], 0)->at(self::RUN);

            return HeaterWatch::of($at, StopLimitAtNeck::of($at, Neck::Sealed))->mayBeRevved;
        };
        self::assertTrue($may(97.8));
        self::assertFalse($may(98.2));
    }

    /**
     * @return array<string, array{array<string, float>, array<string,
     * string>, float, float}> start, held; hot from, cold below
     */
    public static function heaters(): array
    {
        return [
            'the air is known' => [['air' => 10.0], [], 50.0, 26.0],
            'the blower is high' => [['air' => 10.0], ['blower' => 'high', 'speed' => 'blower_high'], 38.0, 26.0],
            'nobody read the air' => [[], [], 55.0, 35.0],
        ];
    }

    /**
     * @param  array<string, float>  $start
     * @param  array<string, string>  $held
     */
    #[DataProvider('heaters')]
    public function test_what_a_heater_must_blow_between_air_and_coolant(
        array $start,
        array $held,
        float $hot,
        float $cold,
    ): void {
        $job = self::running($start);
        $job = $held === [] ? $job : $job->write(self::RUN, 'hold', $held);
        $at = self::read($job, ['ect' => 90.0, 'outlet_front' => 40.0])->at(self::RUN);
        $reading = $at->observed(HotReading::class)[0];
        self::assertEqualsWithDelta($hot, HeaterAir::hotFrom($at, $reading), 0.01);
        self::assertEqualsWithDelta($cold, HeaterAir::coldBelow($at, $reading), 0.01);
    }

    public function test_air_outside_is_another_days_after_half_a_day_and_no_outlet_is_hotter_than_its_coolant(): void
    {
        $job = self::running(['air' => 10.0], 0)->state();
        self::assertSame(10.0, HeaterAir::outsideC($job, 1_000_000 + 12 * 3600 - 60));
        self::assertNull(HeaterAir::outsideC($job, 1_000_000 + 12 * 3600 + 60));
        self::assertTrue(HeaterAir::canBe(99.9, 90.0));
        self::assertFalse(HeaterAir::canBe(100.1, 90.0));
    }

    public function test_a_fan_counts_near_its_figure_and_once_it_ran_for_a_while(): void
    {
        $times = fn (float $ect, int $ran): int => FanSeen::of(
            self::read(self::running(), ['ect' => $ect, 'far' => 90.0])
                ->write(self::RUN, 'fan_on', later: $ran)
                ->write(self::RUN, 'fan_off')
                ->at(self::RUN),
        )->times();
        self::assertSame(1, $times(93.1, 60));
        self::assertSame(0, $times(92.9, 60));
        self::assertSame(1, $times(97.0, 21));
        self::assertSame(0, $times(97.0, 19));
    }

    /**
     * @return array<string, array{array<string, float|string>, int,
     * string}> driven; seconds since the level was closed; code
     */
    public static function drives(): array
    {
        return [
            'ten minutes' => [['minutes' => 605.0, 'ect' => 92.0], 900, 'ran_cool'],
            'a little less' => [['minutes' => 595.0, 'ect' => 92.0], 900, 'too_short'],
            'five kilometres' => [['distance' => 5.1e6, 'ect' => 92.0], 900, 'ran_cool'],
            'hardly five' => [['distance' => 4.9e6, 'ect' => 92.0], 900, 'too_short'],
            'five, as fast as anybody drives' => [['distance' => 7.0e6, 'ect' => 92.0], 66, 'ran_cool'],
            'faster than that' => [['km' => 7.0, 'ect' => 92.0], 64, 'not_so_long'],
            'ten minutes, told to the minute' => [['minutes' => 600.0, 'ect' => 92.0], 541, 'ran_cool'],
            'told longer than it can have been' => [['minutes' => 600.0, 'ect' => 92.0], 539, 'not_so_long'],
            'full open, as sensors differ' => [['minutes' => 900.0, 'ect' => 90.1], 900, 'ran_cool'],
            'not quite' => [['minutes' => 900.0, 'ect' => 89.9], 900, 'not_hot'],
        ];
    }

    /** @param  array<string, float|string>  $driven */
    #[DataProvider('drives')]
    public function test_a_drive_proves_from_there_on(array $driven, int $since, string $code): void
    {
        $job = JobOnPaper::on('rescue-ambulance')
            ->write('found', 'found', ['content' => 'low', 'missing' => 0.0])
            ->write('cold_level:1', 'topped', ['volume' => 0.0])
            ->finish('cold_level:1')
            ->wait($since - 60);
        self::assertSame(
            $code,
            $job->write('drive', 'driven', ['alarm' => 'none', ...$driven], 0)->judge('drive')?->code,
        );
    }

    public function test_an_engine_starts_with_no_more_missing_than_fifteen_hundredths(): void
    {
        // 12.39 L in all, 0.66 of it air in the tank at the mark; loose-cap
        // leaves next to nothing in a jacket by its own plan.
        $with = fn (float $missing): bool => EnoughToRun::of(JobOnPaper::on('rescue-ambulance')
            ->write('found', 'found', ['content' => 'low', 'missing' => $missing])->at(self::RUN))->is;
        self::assertTrue($with(1_840.0));
        self::assertFalse($with(1_880.0));
    }

    public function test_a_neck_may_be_opened_after_so_long(): void
    {
        $ran = fn (int $hours): JobOnPaper => self::running()->write(self::RUN, 'shut_off', later: $hours * 3600);
        self::assertEqualsWithDelta(7_200.0, NeckHeat::restedS($ran(3)->at('cool_down:1')), 1.0e-6);
        self::assertEqualsWithDelta(5_400.0, NeckHeat::byHandS($ran(3)->at('cool_down:1')), 1.0e-6);
        $rested = fn (float $s): ?string => Cooling::of(
            $ran(3)
                ->write('cool_down:1', 'rested', ['since' => $s])
                ->at('cool_down:1'),
            false,
        )?->code->value;
        self::assertSame('rested', $rested(7_205.0));
        self::assertSame('rested_too_short', $rested(7_195.0));
        // 80 L: (heat of coolant and metal / 110 kJ/K) to the power of 0.4, held
        // against an engine a quarter slower than the usual.
        $large = JobOnPaper::on('standby-generator', choices: ['opened' => []])->at('cold_check');
        self::assertEqualsWithDelta(13_080.0, NeckHeat::restedS($large), 400.0);
    }

    public function test_a_temperature_read_half_an_hour_ago_is_this_one(): void
    {
        $read = JobOnPaper::on('rescue-ambulance')->write('cold_check', 'reading', ['ect' => 30.0], 0);
        self::assertSame(30.0, NeckHeat::readJustNow($read->wait(1_750)->at('cold_check')));
        self::assertNull(NeckHeat::readJustNow($read->wait(100)->at('cold_check')));
    }

    public function test_where_no_thermostat_is_known_a_drive_is_hot_at_the_usual_one(): void
    {
        self::assertSame(80.0, DriveRun::fullC(Demo::circuit('taxi-electronics')->facts, 110.0));
        self::assertSame(90.0, DriveRun::fullC(Demo::circuit('rescue-ambulance')->facts, 110.0));
    }

    public function test_a_heater_that_was_cold_in_a_run_before_is_no_watch_of_this_one(): void
    {
        $job = self::running()
            ->write(self::RUN, 'shut_off')
            ->write(self::RUN, 'start', ['place' => 'outdoors', 'neck' => 'sealed'], 900);
        self::assertSame(
            'heater_watch',
            self::read($job, ['ect' => 91.0, 'far' => 86.0, 'outlet_front' => 20.0], 30)->judge(self::RUN)?->code,
        );
    }

    public function test_a_neck_that_stood_long_enough_is_under_no_pressure(): void
    {
        $stood = fn (float $s): bool => NeckHeat::mayBeUnderPressure(
            self::running()
                ->write(self::RUN, 'shut_off', later: 4 * 3600)
                ->write('cool_down:1', 'rested', ['since' => $s])
                ->at('cold_level:1'),
        );
        self::assertFalse($stood(7_250.0));
        self::assertTrue($stood(7_150.0));
    }

    public function test_a_sudden_reading_counts_once_another_says_the_same(): void
    {
        $after = fn (float $second, float $third): Rise => Rise::of(
            self::read(self::read(self::read(self::running(), ['ect' => 60.0], 0), ['ect' => $second]), [
                'ect' => $third,
            ])->at(self::RUN),
        );
        self::assertSame(90.0, $after(90.0, 91.0)->jumped?->coolantC);
        self::assertNull($after(75.0, 99.0)->jumped);
        self::assertSame(99.0, $after(75.0, 99.0)->doubted?->coolantC);
    }
}
