<?php

declare(strict_types=1);

namespace Tests\Core\Day;

use Aqbel\Core\Day\DayPlan;
use Aqbel\Core\Day\Shared;
use Aqbel\Core\Day\Slot;
use Aqbel\Core\Day\Task;
use Aqbel\Core\Day\Work;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The day of a shop: nobody in two places, nothing shared wanted twice, and hardly longer than the best there is. */
final class DayPlanTest extends TestCase
{
    private const DAYS = 100;

    /** Orders that the long search tries. */
    private const SEARCHED = 300;

    public function test_nobody_is_in_two_places_and_nothing_shared_is_used_twice(): void
    {
        for ($seed = 1; $seed <= 40; $seed++) {
            [$work, $people] = self::day($seed);
            $plan = DayPlan::of($work, $people);
            self::assertCount(array_sum(array_map(fn (Work $one) => count($one->tasks), $work)), $plan->slots);
            foreach ($plan->slots as $i => $slot) {
                foreach (array_slice($plan->slots, $i + 1) as $other) {
                    $apart = fn (Slot $a, Slot $b, float $endA, float $endB): bool => $endA <= $b->fromMin + 1.0e-6
                        || $endB <= $a->fromMin + 1.0e-6;
                    self::assertTrue(
                        $slot->person !== $other->person || $apart($slot, $other, $slot->toMin, $other->toMin),
                        'one person, one place',
                    );
                    self::assertTrue(
                        $slot->job !== $other->job || $apart($slot, $other, $slot->untilMin(), $other->untilMin()),
                        'a clock is waited for',
                    );
                    self::assertTrue(
                        $slot->task->with === null
                            || $slot->task->with !== $other->task->with
                            || $apart($slot, $other, $slot->untilMin(), $other->untilMin()),
                        'one filler, one spot, one tester',
                    );
                }
            }
            foreach ($work as $one) {
                $mine = array_values(array_filter($plan->slots, fn (Slot $slot) => $slot->job === $one->job));
                self::assertSame(
                    array_map(fn (Task $task) => $task->step, $one->tasks),
                    array_map(fn (Slot $slot) => $slot->task->step, $mine),
                    'in their order',
                );
                self::assertGreaterThanOrEqual($one->fromMin, $mine[0]->fromMin);
                self::assertTrue(
                    $one->by === null || array_unique(array_map(fn (Slot $slot) => $slot->person, $mine)) === [$one->by],
                );
            }
        }
    }

    public function test_what_somebody_puts_first_is_begun_first(): void
    {
        [$work, $people] = self::day(5);
        $wanted = $work[count($work) - 1]->job;
        $plan = DayPlan::of($work, $people, [$wanted]);
        $first = array_values(array_filter($plan->slots, fn (Slot $slot) => $slot->job === $wanted))[0];
        $could = $work[count($work) - 1]->fromMin;
        self::assertLessThanOrEqual(max(60.0, $could + 60.0), $first->fromMin);
        self::assertGreaterThanOrEqual(
            0.98 * DayPlan::of($work, $people)->cost,
            $plan->cost,
            'moving one thing costs, or nothing',
        );
    }

    /**
     * The best is what the same rule finds over three hundred random orders: no proof of the optimum, and the longest
     * that is looked for here. Beside it stands the sum of the tails, under which no plan can be.
     */
    public function test_it_is_within_a_tenth_of_the_best_that_a_long_search_finds(): void
    {
        $over = [];
        for ($seed = 1; $seed <= self::DAYS; $seed++) {
            [$work, $people] = self::day($seed);
            $plan = DayPlan::of($work, $people);
            $best = DayPlan::of($work, $people, tries: self::SEARCHED);
            self::assertGreaterThanOrEqual(
                array_sum(array_map(fn (Work $one) => $one->fromMin + $one->tails[0], $work)) - 1.0e-6,
                $best->cost,
            );
            $over[] = $plan->cost / $best->cost - 1.0;
        }
        self::assertLessThan(0.10, max($over));
        self::assertLessThan(0.03, array_sum($over) / count($over));
    }

    /**
     * @return array{list<Work>, non-empty-list<string>} an invented day: four to twelve vehicles, two or three people
     */
    private static function day(int $seed): array
    {
        $chance = new Randomizer(new Mt19937($seed));
        $people = array_slice(['A', 'B', 'C'], 0, $chance->getInt(2, 3));
        $work = [];
        for ($i = $chance->getInt(4, 12); $i > 0; $i--) {
            $tasks = [
                new Task('make_safe', $chance->getInt(5, 30), $chance->getInt(0, 60)),
                new Task('drain', $chance->getInt(10, 40), $chance->getInt(0, 20)),
            ];
            $vacuum = $chance->getInt(0, 1) === 1;
            $tasks[] = new Task(
                'fill',
                $chance->getInt(10, 40),
                $vacuum ? 10 : 0,
                $vacuum ? Shared::VacuumFiller : null,
            );
            for ($cycle = $chance->getInt(1, 3); $cycle > 0; $cycle--) {
                $tasks[] = new Task("heat_cycle:{$cycle}", $chance->getInt(15, 35), 0, Shared::Extraction);
                $tasks[] = new Task("cool_down:{$cycle}", 2, $chance->getInt(60, 300));
            }
            $tasks[] = new Task('sign_off', $chance->getInt(5, 20));
            $work[] = new Work(
                "J{$i}",
                $tasks,
                $chance->getInt(0, 2) === 0 ? $chance->getInt(5, 120) : 0,
                $chance->getInt(0, 4) === 0 ? $people[0] : null,
            );
        }

        return [$work, $people];
    }
}
