<?php

declare(strict_types=1);

namespace Tests\Core\Judges;

use App\Calc\TopicList;
use Aqbel\Core\Heat\CoolDown;
use Aqbel\Core\Heat\Reading;
use Aqbel\Core\Heat\TopUp;
use Aqbel\Core\Heat\TopUps;
use Aqbel\Core\Heat\TopUpVerdict;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Vacuum\PressureHold;
use Aqbel\Core\Vacuum\PressureReading;
use Aqbel\Core\Vacuum\PressureVerdict;
use PHPUnit\Framework\TestCase;

/** Pressure, cool-down, top-ups and ledger against simulated jobs the judges have never seen. */
final class OtherJudgesTest extends TestCase
{
    public function test_a_pressure_that_falls_by_hoses_pump_and_weather_is_told_from_a_loss(): void
    {
        $chance = new Chance(5);
        [$false, $tight, $told, $shows, $open, $all] = [0, 0, 0, 0, 0, 0];
        for ($round = 0; $round < 400; $round++) {
            $seconds = $chance->between(120, 600);
            $count = $chance->whole(3, 8);
            $gas = $chance->logBetween(300, 4000);
            $start = $chance->between(85, 103);
            $gives = $gas / ($start + 101.3) + 1.5;
            $loss = $round % 2 === 0 ? 0.0 : $chance->logBetween(0.3, 60);
            $creep = $round % 4 < 2 ? $chance->between(1, 5) : $chance->between(0, 1);
            [$tau, $pump, $cools] = [$chance->between(15, 45), $chance->between(0, 1.5), $chance->between(40, 120)];
            $weather = $chance->between(-1, 1);
            $readings = [];
            for ($i = 0; $i < $count; $i++) {
                $t = ($seconds * $i) / ($count - 1);
                $kpa = $start
                    - (($loss / 60) * $t) / $gives
                    - $creep * (1 - exp(-$t / $tau))
                    - $pump * (1 - exp(-$t / $cools))
                    + (($start + 101.3) * $weather * $t) / $seconds / 293
                    + $chance->between(-0.3, 0.3);
                $readings[] = new PressureReading(
                    $t,
                    Pressure::kilopascals(max(0.0, 2 * round($kpa / 2))),
                    Temperature::celsius(20 + $weather * $t / $seconds),
                );
            }
            $judged = new PressureHold(
                $readings,
                Pressure::kilopascals(100),
                Pressure::kilopascals(101.3),
                $gas,
                Pressure::kilopascals(2),
            );
            $all++;
            $open += $judged->verdict === PressureVerdict::Inconclusive ? 1 : 0;
            if ($loss === 0.0) {
                $tight++;
                $false += $judged->verdict === PressureVerdict::Leak ? 1 : 0;
            }
            if ($loss > 3 * 2 * $gives / $seconds * 60) {
                $shows++;
                $told += in_array($judged->verdict, [PressureVerdict::Leak, PressureVerdict::Lost], true) ? 1 : 0;
            }
            if ($judged->verdict === PressureVerdict::Tight) {
                self::assertLessThanOrEqual(2 * $judged->boundMlPerMinute, $loss);
            }
        }
        self::assertLessThanOrEqual(0.05, $false / $tight);
        self::assertGreaterThanOrEqual(0.88, $told / $shows);
        self::assertLessThanOrEqual(0.15, $open / $all);
    }

    public function test_engines_of_two_heat_stores_are_cold_when_somebody_comes_back(): void
    {
        $chance = new Chance(9);
        [$off, $cold, $all] = [[], 0, 0];
        for ($round = 0; $round < 160; $round++) {
            [$air, $hot] = [$chance->between(5, 32), $chance->between(80, 105)];
            $tau = max(28.0, min(130.0, 65 + 20 * $chance->normal()));
            [$share, $fast] = [$chance->between(0, 0.2), $chance->between(4, 15)];
            $at = fn (float $t): float => $air
                + ($hot - $air) * ($share * exp(-$t / $fast) + (1 - $share) * exp(-$t / $tau));
            [$span, $count] = [$chance->between(15, 50), $chance->whole(2, 5)];
            if ($at($span) <= 46) {
                continue;
            }
            $readings = array_map(fn (int $i) => new Reading(
                $span * $i / ($count - 1),
                Temperature::celsius(round($at($span * $i / ($count - 1)) + 0.7 * $chance->normal())),
            ), range(0, $count - 1));
            try {
                $judged = CoolDown::predict(Temperature::celsius($air), $readings, Temperature::celsius(45));
            } catch (InvalidField) {
                continue;
            }
            for ($true = $span; $at($true) > 45; $true += 0.05);
            $off[] = abs($judged->minutesFromLast - ($true - $span));
            $all++;
            $cold += $at($span + $judged->comeBackMinutes) <= 45.01 ? 1 : 0;
        }
        sort($off);
        self::assertGreaterThan(100, $all);
        self::assertLessThanOrEqual(10, $off[intdiv(count($off), 2)]);
        self::assertGreaterThanOrEqual(0.90, $cold / $all);
    }

    public function test_air_leaves_by_heat_cycles_and_a_leak_by_hours(): void
    {
        $chance = new Chance(3);
        [$false, $air, $told, $leaks, $settled] = [0, 0, 0, 0, 0];
        for ($round = 0; $round < 800; $round++) {
            $leaky = $round % 2 === 1;
            $error = $chance->between(10, 50);
            $perHour = $leaky ? $chance->between(3, 6) * $error / 38 : 0.0;
            $first = $round % 4 === 1 ? 0.0 : $chance->between(5, 25) * $error;
            $ratio = $chance->between(0.4, $leaky ? 0.8 : 0.9);
            [$topUps, $hours] = [[], 0.0];
            for ($n = 0; $n < 5; $n++) {
                $since = $chance->between(4, 72);
                $hours += $since;
                $ml = $first * $ratio ** $n + $perHour * $since + $error / 1.96 * $chance->normal();
                $topUps[] = new TopUp(max(0.0, $ml), $error, $hours);
            }
            $judged = (new TopUps($topUps, 2 * $error))->verdict;
            $said = $judged === TopUpVerdict::Leak || $judged === TopUpVerdict::Both ? 1 : 0;
            [$false, $air] = $leaky ? [$false, $air] : [$false + $said, $air + 1];
            [$told, $leaks] = $leaky ? [$told + $said, $leaks + 1] : [$told, $leaks];
            $settled += $leaky && $judged === TopUpVerdict::Settled ? 1 : 0;
        }
        self::assertLessThanOrEqual(0.05, $false / $air);
        self::assertGreaterThanOrEqual(0.90, $told / $leaks);
        self::assertLessThanOrEqual(0.05, $settled / $leaks);
    }

    public function test_slow_air_is_no_leak_where_nobody_wrote_the_hours(): void
    {
        $chance = new Chance(4);
        $false = 0;
        for ($round = 0; $round < 400; $round++) {
            $error = $chance->between(10, 50);
            [$first, $ratio] = [$chance->between(4, 25) * $error, $chance->between(0.4, 0.9)];
            $topUps = array_map(
                fn (int $n) => new TopUp(max(0.0, $first * $ratio ** $n + $error / 1.96 * $chance->normal()), $error),
                range(0, 4),
            );
            $judged = (new TopUps($topUps, 2 * $error))->verdict;
            $false += $judged === TopUpVerdict::Leak || $judged === TopUpVerdict::Both ? 1 : 0;
        }
        self::assertLessThanOrEqual(0.05, $false / 400);
    }

    public function test_ninety_five_of_a_hundred_jobs_lie_within_the_ledgers_range(): void
    {
        $chance = new Chance(4);
        [$content, $glycol, $air, $jobs] = [0, 0, 0, 600];
        for ($job = 0; $job < $jobs; $job++) {
            $capacity = $chance->between(5000, 20000);
            $found = $capacity * $chance->between(0.85, 1.0);
            $strength = $chance->between(0.3, 0.55);
            $true = $found + 0.03 * $capacity / 1.96 * $chance->normal();
            $pure = $true * $strength;
            $lines = [['ml' => $found, 'plus_minus_ml' => 0.03 * $capacity, 'fraction' => $strength]];
            foreach (
                [[-0.6, 500, null], [-0.1, 100, null], [0.3, 250, 0.5], [0.3, 100, 0.5]] as [$part, $marks, $with]
            ) {
                $readings = max(1, (int) ((abs($part) * $capacity) / (20 * $marks)));
                $each = round((abs($part) * $capacity) / $readings / $marks) * $marks;
                $really = array_sum(
                    array_map(fn () => $each + $marks * $chance->between(-0.5, 0.5), range(1, $readings)),
                );
                $sign = $part < 0 ? -1 : 1;
                $lines[] = array_filter(
                    [
                        'ml' => $sign * $each * $readings,
                        'graduation_ml' => $marks,
                        'readings' => $readings,
                        'fraction' => $with,
                    ],
                    fn (mixed $value) => $value !== null,
                );
                $pure += $sign * $really * ($with ?? $pure / $true);
                $true += $sign * $really;
            }
            $said = TopicList::answer(
                'ledger',
                (string) json_encode(['capacity_ml' => $capacity, 'headspace_ml' => 300, 'lines' => $lines]),
            );
            $holds = $capacity * (1 + 0.01 * $chance->normal()) - 300 - $true;
            $content += abs($said['content_ml'] - $true) <= $said['plus_minus_ml'] ? 1 : 0;
            $glycol += abs($said['glycol_fraction'] - $pure / $true) <= $said['glycol_plus_minus'] ? 1 : 0;
            $air += abs($said['trapped_air_ml'] - $holds) <= $said['trapped_air_plus_minus_ml'] ? 1 : 0;
        }
        foreach (['content' => $content, 'glycol' => $glycol, 'air' => $air] as $what => $inside) {
            self::assertGreaterThanOrEqual(0.92, $inside / $jobs, $what);
            self::assertLessThanOrEqual(0.98, $inside / $jobs, $what);
        }
    }

    public function test_so_do_those_of_vessels_that_were_each_read_once(): void
    {
        $chance = new Chance(9);
        [$inside, $jobs] = [0, 800];
        for ($job = 0; $job < $jobs; $job++) {
            [$true, $lines] = [0.0, []];
            for ($i = 0; $i <= $job % 8; $i++) {
                [$marks, $is] = [[50, 100, 200, 500][$i % 4], $chance->between(300, 3000)];
                $true += $is;
                $lines[] = ['ml' => round($is / $marks) * $marks, 'graduation_ml' => $marks];
            }
            $said = TopicList::answer('ledger', (string) json_encode(['capacity_ml' => 30_000, 'lines' => $lines]));
            $inside += abs($said['content_ml'] - $true) <= $said['plus_minus_ml'] ? 1 : 0;
        }
        self::assertGreaterThanOrEqual(0.94, $inside / $jobs);
        self::assertLessThanOrEqual(0.98, $inside / $jobs);
    }
}
