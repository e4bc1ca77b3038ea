<?php

declare(strict_types=1);

namespace Tests\Core\Judged;

use Aqbel\Core\Job\Neck;
use Aqbel\Core\Judged\ColdLevelRead;
use Aqbel\Core\Judged\Contraction;
use Aqbel\Core\Judged\Cooling;
use Aqbel\Core\Judged\DrainsInTurn;
use Aqbel\Core\Judged\DriveRun;
use Aqbel\Core\Judged\EnoughToRun;
use Aqbel\Core\Judged\FanSeen;
use Aqbel\Core\Judged\FillTaken;
use Aqbel\Core\Judged\HeaterAir;
use Aqbel\Core\Judged\HeaterWatch;
use Aqbel\Core\Judged\HotProofs;
use Aqbel\Core\Judged\Level;
use Aqbel\Core\Judged\MissingProof;
use Aqbel\Core\Judged\NeckHeat;
use Aqbel\Core\Judged\ProofCode;
use Aqbel\Core\Judged\Retained;
use Aqbel\Core\Judged\RinseNeeded;
use Aqbel\Core\Judged\Rise;
use Aqbel\Core\Judged\StopLimitAtNeck;
use Aqbel\Core\Judged\TopUpSeries;
use Aqbel\Core\Judged\VacuumHeld;
use Aqbel\Core\Judged\VentedSolid;
use Aqbel\Core\Matter\Column;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Observed\ToppedUp;
use Aqbel\Core\Plan\HouseRules;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;
use Tests\Demo;
use Tests\Journeys\Journey;

/**
 * The figures by which it is judged, each tried a little on this side of its edge and a little on that. The ambulance
 * opens at 83 °C, is full open at 95, its fan comes at 98, and it is shut off at 103.
 */
final class EdgesTest extends TestCase
{
    private const RUN = 'heat_cycle:1';

    /** @param  array<string, float|int|string|bool>  $start */
    private static function running(array $start = [], int $later = 900): JobOnPaper
    {
        return JobOnPaper::on('rescue-ambulance')->write(
            self::RUN,
            'start',
            ['place' => 'outdoors', 'neck' => 'sealed', ...$start],
            $later,
        );
    }

    /** @param  array<string, float|int|string|bool>  $values */
    private static function read(JobOnPaper $job, array $values, int $later = 60): JobOnPaper
    {
        return $job->write(self::RUN, 'reading', ['bubbles' => 'hidden', 'sign' => 'none', ...$values], $later);
    }

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

    public function test_a_pressure_test_is_timed_to_fifteen_seconds(): void
    {
        $held = fn (int $seconds, float $said = 300.0): ?string => JobOnPaper::on('rescue-ambulance')
            ->write('fill_level', 'at_mark')
            ->finish('fill_level')
            ->wait($seconds - 60)
            ->write('pressure_test', 'test', ['start' => 100.0, 'end' => 100.0, 'held' => $said], 0)
            ->judge('pressure_test')?->code;
        self::assertSame('holds', $held(286));
        self::assertSame('not_so_long', $held(284));
        self::assertSame('too_short', $held(600, 295.0));
        self::assertSame('holds', $held(600, 305.0));
    }

    /** @return array<string, array{array<string, float>, string}> */
    public static function pressures(): array
    {
        return [
            'hoses give' => [['start' => 100.0, 'end' => 98.05], 'holds'],
            'more than hoses' => [['start' => 100.0, 'end' => 97.95], 'falls'],
            'enough of what was asked' => [['start' => 80.5, 'end' => 80.5], 'holds'],
            'too little' => [['start' => 79.5, 'end' => 79.5], 'no_test'],
            'hardly warm' => [['start' => 100.0, 'end' => 100.0, 'ect' => 34.5], 'holds'],
            'warm' => [['start' => 100.0, 'end' => 100.0, 'ect' => 35.5], 'warm'],
            // Two of the hoses, and one a minute of cooling.
            'warm for two minutes' => [['start' => 100.0, 'end' => 96.1, 'ect' => 45.0, 'held' => 120.0], 'warm'],
            'warm, and more' => [['start' => 100.0, 'end' => 95.9, 'ect' => 45.0, 'held' => 120.0], 'falls'],
            'warm for five minutes' => [['start' => 100.0, 'end' => 93.1, 'ect' => 45.0, 'held' => 300.0], 'warm'],
            'warm for five minutes, and more' => [
                ['start' => 100.0, 'end' => 92.9, 'ect' => 45.0, 'held' => 300.0],
                'falls',
            ],
        ];
    }

    /** @param  array<string, float>  $test */
    #[DataProvider('pressures')]
    public function test_a_pressure_test_reads_so(array $test, string $code): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('fill_level', 'at_mark')->finish('fill_level')->wait(600);
        self::assertSame(
            $code,
            $job->write('pressure_test', 'test', ['held' => 400.0, ...$test])->judge('pressure_test')?->code,
        );
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

    /**
     * @return array<string, array{?float, ?float, float, float}> hot and cold as read, °C; mL and ± (11.5 L of
     * half glycol; about 4 % from 90 to 20 °C, from memory)
     */
    public static function contractions(): array
    {
        return [
            'both read' => [90.0, 20.0, 456.4, 61.2],
            'cold unread' => [90.0, null, 448.8, 60.2],
            'hot unread' => [null, 20.0, 441.4, 91.8],
            'hardly apart' => [25.1, 20.0, 27.0, 44.9],
            'at one temperature' => [24.9, 20.0, 0.0, 0.0],
        ];
    }

    #[DataProvider('contractions')]
    public function test_coolant_topped_up_hot_shrinks(?float $hot, ?float $cold, float $ml, float $plusMinus): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'full'])
            ->write(self::RUN, 'start', ['place' => 'outdoors', 'neck' => 'resting'], 900);
        $job = $hot === null ? $job : self::read($job, ['ect' => $hot]);
        $job = $job
            ->write(self::RUN, 'topped', ['volume' => 0.0, 'vessel' => 'jug'])
            ->write(self::RUN, 'shut_off', later: 36_000);
        $job = $cold === null
                ? $job
                : $job->write('cold_level:1', 'topped', ['volume' => 200.0, 'vessel' => 'jug', 'ect' => $cold]);
        $said = Contraction::at($job->at('cold_level:1'));
        self::assertEqualsWithDelta($ml, $said->ml, 0.5);
        self::assertEqualsWithDelta($plusMinus, $said->plusMinusMl, 0.5);
    }

    public function test_only_the_last_run_before_a_level_shrinks_into_it(): void
    {
        $job = JobOnPaper::on('school-minibus', 'way:gravity+sealed++quiet_twice', choices: ['opened' => []])->write(
            'found',
            'found',
            ['content' => 'full'],
        );
        foreach ([1, 2] as $round) {
            $job->write("heat_cycle:{$round}", 'start', ['place' => 'outdoors', 'neck' => 'funnel'], 900)
                ->write("heat_cycle:{$round}", 'topped', ['volume' => 0.0, 'vessel' => 'jug'])
                ->write("heat_cycle:{$round}", 'shut_off', later: 36_000)
                ->write("cold_level:{$round}", 'topped', ['volume' => 200.0, 'vessel' => 'jug', 'ect' => 20.0]);
        }
        self::assertGreaterThan(100.0, Contraction::at($job->at('cold_level:2'))->ml);
        $driven = $job->at('cold_level:drive');
        self::assertSame(0.0, Contraction::at($driven)->ml, 'the level read since has had it');
    }

    public function test_a_mark_tells_apart_four_thousandths_of_the_capacity(): void
    {
        $circuit = Demo::circuit('rescue-ambulance');
        self::assertEqualsWithDelta(49.56, Level::plusMinusMl($circuit), 1.0e-6);
        self::assertTrue(Level::tells($circuit, 49.6));
        self::assertFalse(Level::tells($circuit, 49.5));
    }

    public function test_settled_is_twice_what_a_vessel_cannot_tell_and_no_more_than_a_fill_may_leave(): void
    {
        $settled = function (string $vessel): array {
            $at = JobOnPaper::on('rescue-ambulance')
                ->write('cold_level:1', 'topped', ['volume' => 100.0, 'vessel' => $vessel], 7_200)
                ->at('cold_level:1');

            return [TopUpSeries::settledMl($at), $at->observed(ToppedUp::class)[0]->read->plusMinusMl($at)];
        };
        [$ml, $jug] = $settled('jug');
        self::assertEqualsWithDelta(2.0 * $jug, $ml, 1.0e-6);
        [$ml, $pan] = $settled('pan');
        self::assertGreaterThan(500.0, 2.0 * $pan);
        self::assertEqualsWithDelta(0.03 * Demo::circuit('rescue-ambulance')->capacityMl(), $ml, 1.0e-6);
    }

    public function test_what_a_hose_gave_before_a_drain_is_not_expected_of_it(): void
    {
        $expected = fn (JobOnPaper $job): float => DrainsInTurn::expectedMl($job->state())['drain:radiator_cock'];
        $hose = ['way' => 'hose', 'volume' => 1_500.0, 'vessel' => 'pan'];
        $out = ['volume' => 9_400.0, 'vessel' => 'pan', 'flow' => 'ran'];
        $full = fn (): JobOnPaper => JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'full']);
        $all = $expected($full());
        self::assertEqualsWithDelta(
            $all - 1_500.0,
            $expected(
                $full()->write('drain:radiator_cock', 'elsewhere', $hose)->write('drain:radiator_cock', 'out', $out),
            ),
            1.0,
        );
        self::assertEqualsWithDelta(
            $all,
            $expected(
                $full()->write('drain:radiator_cock', 'out', $out)->write('drain:radiator_cock', 'elsewhere', $hose),
            ),
            250.0,
        );
    }

    public function test_what_stays_inside_is_told_within_two_hundredths_of_the_model(): void
    {
        $kept = Retained::of(JobOnPaper::drainedAmbulance()->at('reconcile:1'));
        self::assertEqualsWithDelta(hypot($kept->plusMinusMl, 0.02 * 12_390.0), $kept->unsureMl, 1.0e-6);
    }

    public function test_where_no_thermostat_is_known_a_drive_is_hot_at_the_usual_one(): void
    {
        self::assertSame(80.0, DriveRun::fullC(Demo::circuit('taxi-electronics')->facts, 110.0));
        self::assertSame(90.0, DriveRun::fullC(Demo::circuit('rescue-ambulance')->facts, 110.0));
    }

    /**
     * The minibus drained as predicted, and filled with so many times what its fill should take, or so much more, mL.
     */
    private static function filled(float $times, float $more = 0.0): JobOnPaper
    {
        // As plans of before reckoned it, on an empty circuit: so much air is predicted that the prediction comes first.
        $job = JobOnPaper::on('school-minibus', choices: ['opened' => [], 'onWhatStays' => false])
            ->write('found', 'found', ['content' => 'full']);
        foreach (DrainsInTurn::expectedMl($job->state()) as $drain => $ml) {
            $job->write($drain, 'out', ['volume' => $ml, 'vessel' => 'pan', 'flow' => 'ran']);
        }

        return $job->write('fill_level', 'at_mark', [
            'volume' => $times * FillTaken::expectedMl($job->at('fill_level')) + $more,
            'vessel' => 'jug',
        ]);
    }

    public function test_a_fill_takes_no_more_than_four_tenths_past_its_prediction_and_goes_on_within_what_sums_tell(): void
    {
        self::assertSame('air_trapped', self::filled(1.39)->judge('fill_level')?->code);
        self::assertSame('more_than_predicted', self::filled(1.41)->judge('fill_level')?->code);
        $goesOn = fn (float $more): bool => JobOnPaper::kind('fill_level')->goesOn(
            self::filled(1.0, $more)->at('fill_level'),
        );
        // 4.5 % of 10.71 L is what the sums tell.
        self::assertTrue($goesOn(-475.0));
        self::assertFalse($goesOn(-490.0));
        self::assertTrue($goesOn(475.0));
        self::assertFalse($goesOn(490.0));
    }

    public function test_a_high_funnel_holds_three_litres_that_nobody_read(): void
    {
        $with = function (float $more): ?string {
            $job = JobOnPaper::on('rescue-ambulance', school: 'funnel')->write('found', 'found', ['content' => 'full']);
            foreach (DrainsInTurn::expectedMl($job->state()) as $drain => $ml) {
                $job->write($drain, 'out', ['volume' => $ml, 'vessel' => 'pan', 'flow' => 'ran']);
            }
            $job->finish('funnel');

            return $job
                ->write('fill_level', 'at_mark', [
                    'volume' => FillTaken::expectedMl($job->at('fill_level')) + $more,
                    'vessel' => 'jug',
                ])
                ->judge('fill_level')?->code;
        };
        self::assertSame('stands_in_funnel', $with(3_500.0));
        self::assertSame('more_than_predicted', $with(3_650.0));
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

    public function test_a_point_cannot_run_on_a_third_of_what_should_reach_it(): void
    {
        $job = fn (float $share): JobOnPaper => JobOnPaper::drainedAmbulance();
        $at = (float) $job(1.0)->at('bleed:bleed_housing')->step->params->number('at_ml');
        $ran = fn (float $share): ?string => $job($share)
            ->write('bleed:bleed_housing', 'poured', ['volume' => $share * $at, 'vessel' => 'bucket'])
            ->write('bleed:bleed_housing', 'running')
            ->judge('bleed:bleed_housing')?->code;
        self::assertSame('ran_too_early', $ran(0.34));
        self::assertNotSame('ran_too_early', $ran(0.36));
    }

    public function test_a_part_is_named_only_where_half_of_it_is_missing(): void
    {
        $said = fn (float $radiator): ?string => JobOnPaper::on('rescue-ambulance')
            ->write('found', 'found', ['content' => 'full'])
            ->write('drain:radiator_cock', 'out', ['volume' => $radiator, 'vessel' => 'pan', 'flow' => 'ran'])
            ->write('drain:left_plug', 'out', ['volume' => 650.0, 'vessel' => 'jug', 'flow' => 'ran'])
            ->write('drain:right_plug', 'out', ['volume' => 30.0, 'vessel' => 'jug', 'flow' => 'ran'])
            ->judge('reconcile:1')?->code;
        self::assertSame('did_not_drain', $said(9_935.0));
        self::assertSame('as_predicted', $said(9_955.0));
    }

    public function test_dirt_is_rinsed_once_and_what_never_drained_without_end(): void
    {
        $rinses = fn (JobOnPaper $job): int => RinseNeeded::of($job->at('rinse'))->chain->rinses;
        $clean = JobOnPaper::on('rescue-ambulance', rules: new HouseRules(oldShare: 0.1))
            ->write('found', 'found', ['content' => 'full'])
            ->write('drain:radiator_cock', 'out', ['volume' => 9_640.0, 'vessel' => 'pan', 'flow' => 'ran'])
            ->write('drain:left_plug', 'out', ['volume' => 650.0, 'vessel' => 'jug', 'flow' => 'ran'])
            ->write('drain:right_plug', 'out', ['volume' => 650.0, 'vessel' => 'jug', 'flow' => 'ran']);
        self::assertSame(0, $rinses($clean));
        self::assertSame(1, $rinses($clean->write('look', 'seen', ['coolant' => 'rusty'])));
        $shut = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'full'])
            ->write('drain:radiator_cock', 'out', ['volume' => 0.0, 'vessel' => 'pan', 'flow' => 'blocked']);
        self::assertSame(
            299,
            $rinses($shut->write('look', 'seen', ['coolant' => 'rusty'])),
            'the logarithm of 0.05 over that of 0.99',
        );
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

    public function test_top_ups_are_hours_apart(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')
            ->write('cold_level:1', 'topped', ['volume' => 300.0, 'vessel' => 'pan'], 7_200)
            ->write('cold_level:drive', 'topped', ['volume' => 100.0, 'vessel' => 'pan']);
        self::assertSame([0.0, 2.0], array_column(TopUpSeries::each($job->at('cold_level:drive')), 'atHours'));
    }

    /** Of what the coolant shrinks by, half at the least goes in where hot and cold line are one. */
    public function test_a_cold_level_that_takes_too_little_stood_higher_hot(): void
    {
        $topped = function (?float $ml): ColdLevelRead {
            $top = [
                'step' => 'cold_level:1',
                'form' => 'topped',
                'values' => [
                    'liquid' => 'batch',
                    'ect' => '21',
                    'volume' => "{$ml} mL",
                    'vessel' => 'syringe',
                    'level' => 'mark',
                ],
            ];
            $journey = new Journey([
                'about' => 'a higher line',
                'circuit' => 'school-minibus',
                'choices' => ['school' => 'loose_cap'],
                'lines' => [['until' => 'cold_level:1'], ...$ml === null ? [['do' => 'cold_level:1']] : [$top]],
            ]);
            $journey->play();
            $step = $journey->state()->steps['cold_level:1'];

            return ColdLevelRead::of($journey->state()->asAt($step)->at($step, 0), null)
                ?? self::fail('Nothing was judged.');
        };
        $half = 0.5 * $topped(null)->shrank->ml;
        $errors = 0.004 * Demo::circuit('school-minibus')->capacityMl();
        self::assertTrue($topped(round($half - $errors - 4))->stoodHigher);
        self::assertFalse($topped(round($half - $errors + 6))->stoodHigher);
    }

    public function test_a_point_runs_under_its_column_and_never_under_nothing(): void
    {
        $from = function (string $circuit, string $point): float {
            $at = JobOnPaper::on($circuit, school: 'pressure', choices: ['opened' => []])->at('vent_under_pressure');

            return VentedSolid::liftsFromKpa($at, $at->circuit()->port($point));
        };
        self::assertSame(2.0, $from('taxi-electronics', 'bleed_inverter'), 'a hand above its mark');
        $ambulance = Demo::circuit('rescue-ambulance');
        $above = $ambulance->heightMm($ambulance->port('bleed_heater')->node)
            - $ambulance->heightMm($ambulance->fillPort()->node)
            - $ambulance->facts->coldHeadMm;
        self::assertEqualsWithDelta(max(2.0, Column::kPa($above)), $from('rescue-ambulance', 'bleed_heater'), 1.0e-9);
    }

    public function test_a_point_closed_before_anything_reached_it_is_unwritten(): void
    {
        $closed = JobOnPaper::drainedAmbulance()->write('bleed:bleed_housing', 'closed');
        self::assertSame('never_ran', (clone $closed)->judge('bleed:bleed_housing')?->code);
        self::assertSame(
            'closed_unwritten',
            $closed->write('bleed:bleed_housing', 'running')->judge('bleed:bleed_housing')?->code,
        );
    }

    /** The ambulance, pulled to 71 kPa: by Boyle’s law it then draws 10.52 L into its void. */
    private static function drawn(float $needleKpa, float $ml): ?string
    {
        return JobOnPaper::on('rescue-ambulance', school: 'vacuum')
            ->write('hold:1', 'reading', ['vacuum' => 71.0])
            ->write('vacuum_fill', 'poured', ['volume' => $ml, 'vessel' => 'bucket', 'vacuum' => $needleKpa])
            ->judge('vacuum_fill')?->code;
    }

    public function test_a_needle_at_zero_or_at_rest_tells_so_from_there_on(): void
    {
        self::assertSame('air_came_in', self::drawn(1.6, 0.74 * 10_519.8));
        self::assertSame('full', self::drawn(1.6, 0.76 * 10_519.8));
        self::assertSame('filling', self::drawn(70.9, 0.29 * 10_519.8));
        self::assertSame('needle_stands', self::drawn(70.9, 0.31 * 10_519.8));
        self::assertSame('needle_stands', self::drawn(67.5, 6_000.0));
        self::assertSame('filling', self::drawn(67.3, 6_000.0));
    }

    public function test_a_valve_closes_within_a_minute(): void
    {
        $pulled = fn (int $seconds): JobOnPaper => JobOnPaper::on('rescue-ambulance', school: 'vacuum')->write(
            'pull:1',
            'reading',
            ['vacuum' => 71.0],
            $seconds,
        );
        $read = fn (JobOnPaper $job): int => count(
            VacuumHeld::of($job->write('hold:1', 'reading', ['vacuum' => 71.0])->at('hold:1'))->readings ?? [],
        );
        self::assertSame(2, $read($pulled(59)->finish('pull:1')), 'the pull’s last is its first');
        self::assertSame(1, $read($pulled(61)->finish('pull:1')));
        self::assertSame(1, $read($pulled(59)), 'read as it was closed');
        self::assertSame(2, $read($pulled(61)));
    }

    public function test_ten_minutes_are_a_test_and_less_is_a_glance(): void
    {
        $proved = fn (float $seconds): ?bool => VacuumHeld::proved(
            JobOnPaper::on('rescue-ambulance', school: 'vacuum')
                ->write('pull:1', 'reading', ['vacuum' => 71.0], 30)
                ->finish('pull:1')
                ->write('hold:1', 'school', ['minutes' => $seconds, 'length' => 'real'])
                ->write('hold:1', 'reading', ['vacuum' => 71.0], 900)
                ->write('hold:1', 'reading', ['vacuum' => 71.0])
                ->state(),
        );
        self::assertTrue($proved(601.0));
        self::assertFalse($proved(599.0));
    }
}
