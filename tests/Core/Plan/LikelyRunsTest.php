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
