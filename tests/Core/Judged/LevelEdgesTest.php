<?php

declare(strict_types=1);

namespace Tests\Core\Judged;

use Aqbel\Core\Judged\ColdLevelRead;
use Aqbel\Core\Judged\Contraction;
use Aqbel\Core\Judged\DrainsInTurn;
use Aqbel\Core\Judged\FillTaken;
use Aqbel\Core\Judged\Level;
use Aqbel\Core\Judged\Retained;
use Aqbel\Core\Judged\RinseNeeded;
use Aqbel\Core\Judged\TopUpSeries;
use Aqbel\Core\Judged\VentedSolid;
use Aqbel\Core\Matter\Column;
use Aqbel\Core\Observed\ToppedUp;
use Aqbel\Core\Plan\HouseRules;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;
use Tests\Demo;
use Tests\Journeys\Journey;

/** The figures by which levels, fills and drains are judged, each tried a little on this side of its edge and a little on that. */
final class LevelEdgesTest extends TestCase
{
    use RunOnPaper;

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
}
