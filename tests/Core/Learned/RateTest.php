<?php

declare(strict_types=1);

namespace Tests\Core\Learned;

use Aqbel\Core\Heat\CoolDown;
use Aqbel\Core\Heat\CoolingBody;
use Aqbel\Core\Heat\Purging;
use Aqbel\Core\Heat\Reading;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Learned\JobRates;
use Aqbel\Core\Learned\Rate;
use Aqbel\Core\Plan\Minutes;
use Aqbel\Core\Quantity\Temperature;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\JobOnPaper;
use Tests\Demo;

/** How a shop goes beside what is usual. */
final class RateTest extends TestCase
{
    public function test_a_shop_that_differs_is_told_better_by_its_own_jobs_and_one_that_does_not_is_not(): void
    {
        $draw = new Randomizer(new Mt19937(7));
        $ratios = fn (float $factor, int $jobs): array => array_map(
            fn () => $factor * exp(0.25 * self::normal($draw)),
            range(1, $jobs),
        );
        [$better, $held, $false] = [0, 0, 0];
        for ($i = 0; $i < 300; $i++) {
            $slow = Rate::of($ratios(1.5, 12)) ?? throw new \LogicException;
            $better += $slow->tellsBetter ? 1 : 0;
            $held += $slow->low <= 1.5 && $slow->high >= 1.5 ? 1 : 0;
            $false += Rate::of($ratios(1.0, 12))?->tellsBetter === true ? 1 : 0;
        }
        self::assertGreaterThanOrEqual(290, $better);
        self::assertGreaterThanOrEqual(270, $held, 'its range holds what is so');
        self::assertLessThanOrEqual(45, $false, 'what differs by chance alone is said to be no better');
    }

    public function test_few_jobs_say_nothing(): void
    {
        self::assertNull(Rate::of([1.4, 1.5, 1.6]));
        self::assertNull(Rate::of([1.4, 1.5, 1.6, 0.0]), 'nor what cannot be');
        self::assertSame(4, Rate::of([1.4, 1.5, 1.6, 1.5])?->jobs);
        self::assertEqualsWithDelta(1.5, Rate::of([1.5, 1.5, 1.5, 1.5])->factor, 1.0e-9);
    }

    public function test_a_job_tells_how_fast_it_cooled_and_how_long_hands_took(): void
    {
        $body = CoolingBody::of(Demo::circuit('rescue-ambulance')->capacityMl());
        $job = JobOnPaper::on('rescue-ambulance')
            ->write('heat_cycle:1', 'start', ['place' => 'outdoors', 'neck' => 'sealed', 'air' => 20.0])
            ->write('heat_cycle:1', 'reading', ['ect' => 90.0])
            ->write('heat_cycle:1', 'shut_off', later: 3600)
            ->write('cool_down:1', 'reading', [
                'ect' => 20.0 + 70.0 * exp(-60.0 / (1.4 * $body->tauMinutes())),
                'air' => 20.0,
            ]);
        $rates = JobRates::of($job->state(), fn (Step $step) => new Minutes(5.0));
        self::assertEqualsWithDelta(1.4, $rates[JobRates::COOLING], 0.02);
        self::assertArrayNotHasKey(JobRates::PURGING, $rates, 'one level tells of no ratio');
    }

    public function test_two_levels_tell_what_a_run_leaves(): void
    {
        $job = JobOnPaper::on('rescue-ambulance', 'way:gravity+sealed++quiet_twice');
        foreach ([1 => 400.0, 2 => 200.0] as $round => $ml) {
            $job->ranHot("heat_cycle:{$round}")
                ->write("cold_level:{$round}", 'opened', ['ect' => 20.0])
                ->write("cold_level:{$round}", 'topped', ['volume' => $ml, 'vessel' => 'syringe']);
        }
        $rates = JobRates::of($job->state(), fn (Step $step) => new Minutes);
        self::assertEqualsWithDelta(0.5 / Purging::leftByCycle(), $rates[JobRates::PURGING] ?? 0.0, 0.1);
    }

    public function test_what_went_on_the_floor_is_told_beside_what_stays(): void
    {
        // What stood in it, and what of that ran to the floor, is no coolant that this job took.
        $job = JobOnPaper::on('rescue-ambulance', choices: ['opened' => []])
            ->write('found', 'found', ['content' => 'full'])
            ->write('drain:radiator_cock', 'elsewhere', ['way' => 'spill', 'volume' => 700.0, 'part' => ''])
            ->write('fill_level', 'at_mark', ['volume' => 10_000.0, 'vessel' => 'bucket'])
            ->write('fill_level', 'outlet', ['way' => 'spill', 'volume' => 400.0, 'part' => '']);
        $rates = JobRates::of($job->state(), fn (Step $step) => new Minutes);
        self::assertEqualsWithDelta(1.04, $rates[JobRates::SPILLING] ?? 0.0, 1.0e-6);
        self::assertArrayNotHasKey(
            JobRates::SPILLING,
            JobRates::of(JobOnPaper::on('rescue-ambulance')->state(), fn (Step $step) => new Minutes()),
        );
    }

    public function test_a_shop_where_engines_take_longer_waits_longer_and_opens_no_neck_sooner(): void
    {
        $minutes = fn (float $timesUsual): float => CoolDown::predict(
            Temperature::celsius(20.0),
            [new Reading(0.0, Temperature::celsius(95.0))],
            Temperature::celsius(45.0),
            CoolingBody::of(timesUsual: $timesUsual),
        )->comeBackMinutes;
        self::assertEqualsWithDelta(1.5, $minutes(1.5) / $minutes(1.0), 0.02);
        self::assertEqualsWithDelta(2.0 * Purging::leftByCycle(), Purging::leftByCycle(2.0), 1.0e-9);
        self::assertSame(0.9, Purging::leftByCycle(5.0), 'a run is never thought to do nothing at all');
        self::assertGreaterThan(Purging::cycles(1_000.0, 100.0), Purging::cycles(1_000.0, 100.0, 1.5));
    }

    private static function normal(Randomizer $draw): float
    {
        return sqrt(-2.0 * log($draw->getInt(1, 1_000_000) / 1.0e6))
            * cos((2.0 * M_PI * $draw->getInt(0, 1_000_000)) / 1.0e6);
    }
}
