<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Complaint;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\LikelyRuns;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Tool;
use PHPUnit\Framework\TestCase;
use Tests\Demo;

/** How many runs are planned, how many are likely, and how likely those planned are enough. */
final class LikelyRunsTest extends TestCase
{
    public function test_every_way_of_every_circuit_plans_what_it_wants_to_see_and_no_more(): void
    {
        $seen = 0;
        foreach (Demo::keys() as $key) {
            foreach (
                ['gravity', 'vacuum', 'watch', 'open_neck', 'loose_cap', 'funnel', 'large', 'vent_bolt'] as $school
            ) {
                $plan = self::plan($key, $school);
                if ($plan === null) {
                    continue;
                }
                $runs = LikelyRuns::of($plan, Demo::circuit($key), Demo::planner()->kinds);
                self::assertSame(1, $runs->planned, "{$key} {$school}");
                self::assertSame(
                    $runs->planned,
                    count(array_filter($plan->steps, fn (Step $step) => $step->kind === 'heat_cycle')),
                );
                self::assertGreaterThanOrEqual(1, $runs->likely);
                self::assertGreaterThan(0.0, $runs->each->total());
                // What is likely is what is more likely than not.
                self::assertSame(
                    $runs->likely > 1,
                    $runs->enough < 0.5,
                    "{$key} {$school}: {$runs->likely} runs, {$runs->enough}",
                );
                $seen++;
            }
        }
        self::assertGreaterThan(30, $seen);
    }

    public function test_less_air_allowed_makes_one_run_less_likely_enough(): void
    {
        $chance = fn (float $share): float => LikelyRuns::of(
            self::plan('rescue-ambulance', 'gravity', $share) ?? throw new \LogicException(),
            Demo::circuit('rescue-ambulance'),
            Demo::planner()->kinds,
        )->enough;
        $chances = array_map($chance, [0.005, 0.015, 0.02, 0.03, 0.1]);
        $sorted = $chances;
        sort($sorted);
        self::assertSame($sorted, $chances);
        self::assertLessThan(0.1, $chances[0]);
        self::assertGreaterThan(0.9, $chances[4]);
    }

    /** Over the air that may really be there: a hundredth of the capacity about what is predicted, and what heights decide. */
    public function test_how_likely_one_is_enough_is_the_share_of_the_air_it_may_be_that_one_run_works_out(): void
    {
        $told = 0;
        foreach (['rescue-ambulance', 'post-van', 'taxi-electronics', 'yard-tractor'] as $key) {
            foreach ([0.002, 0.005, 0.008, 0.01, 0.012, 0.015, 0.018, 0.02, 0.025, 0.03, 0.1] as $share) {
                $circuit = Demo::circuit($key);
                $plan = self::plan($key, 'gravity', $share) ?? throw new \LogicException();
                $fill = $plan->fill;
                $oneDoes = fn (float $ml): bool => $plan->school->heatCycles(
                    $fill->leaving($ml / max(1.0e-9, $fill->airMl)),
                    $share * $circuit->capacityMl(),
                    1.0,
                ) <= 1;
                $sigma = hypot(
                    0.01 * $circuit->capacityMl(),
                    ($fill->airHighMl() - $fill->airLowMl()) / (2.0 * 1.96),
                );
                [$does, $all] = [0.0, 0.0];
                foreach (range(-30, 30) as $tenth) {
                    $weight = exp(-($tenth / 10.0) ** 2 / 2.0);
                    $all += $weight;
                    $does += $oneDoes(max(0.0, $fill->airMl + $sigma * $tenth / 10.0)) ? $weight : 0.0;
                }
                $worksOut = $does / $all;
                $told += $worksOut > 0.1 && $worksOut < 0.9 ? 1 : 0;
                $enough = LikelyRuns::of($plan, $circuit, Demo::planner()->kinds)->enough;
                self::assertEqualsWithDelta(min(0.98, max(0.02, $worksOut)), $enough, 1.0e-6, "{$key} {$share}");
            }
        }
        self::assertGreaterThan(3, $told);
    }

    public function test_what_is_not_run_wants_no_run(): void
    {
        $plan = self::plan('rescue-ambulance', 'way:gravity+sealed++tight');
        $runs = LikelyRuns::of(
            $plan ?? throw new \LogicException(),
            Demo::circuit('rescue-ambulance'),
            Demo::planner()->kinds,
        );
        self::assertSame([0, 0, 1.0, 0.0], [$runs->planned, $runs->likely, $runs->enough, $runs->further()->total()]);
        $twice = LikelyRuns::of(
            self::plan('rescue-ambulance', 'way:gravity+sealed++quiet_twice') ?? throw new \LogicException(),
            Demo::circuit('rescue-ambulance'),
            Demo::planner()->kinds,
        );
        self::assertSame(2, $twice->planned);
    }

    private static function plan(string $key, string $school, float $airShare = 0.03): ?Plan
    {
        $circuit = Demo::circuit($key);
        try {
            return Demo::planner()->plan(
                $circuit,
                new Choices(
                    JobKind::Repair,
                    Complaint::None,
                    $school,
                    [],
                    $circuit->portIds(PortKind::Drain),
                    1420.0,
                    0.0,
                    0.5,
                    0.0,
                    new HouseRules(airShare: $airShare),
                    tools: Tool::cases(),
                ),
            );
        } catch (InvalidField) {
            return null;
        }
    }
}
