<?php

declare(strict_types=1);

namespace Aqbel\Core\Day;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Who goes where next, so that clocks do not run out unattended and nothing shared is wanted twice.
 * Planned by list scheduling (Graham 1966): whoever is free takes what can begin soonest, and of
 * that what has the longest still before it. A hundred orders near that one are tried, and the one
 * by which the vehicles are done soonest on the average is kept.
 */
final readonly class DayPlan
{
    private const TRIES = 100;

    /** How far an order may be from the longest-first one, as a share of the longest tail. */
    private const NEAR = 0.5;

    /**
     * @param  list<Slot>  $slots  by time
     * @param  array<string, float>  $done  minutes from now, by job
     */
    private function __construct(public array $slots, public array $done, public float $cost)
    {
    }

    /**
     * @param  list<Work>  $work
     * @param  non-empty-list<string>  $people
     * @param  list<string>  $first  jobs that somebody has put before all others, in order
     */
    public static function of(array $work, array $people, array $first = [], int $tries = self::TRIES): self
    {
        $longest = max([1.0, ...array_map(fn (Work $one) => $one->tails[0] ?? 0.0, $work)]);
        $pinned = fn (int $i): float => ($at = array_search($work[$i]->job, $first, true)) === false
            ? 0.0
            : 1.0e6 - (int) $at;
        $chance = new Randomizer(new Mt19937(1));
        $best = null;
        for ($try = 0; $try < max(1, $tries); $try++) {
            $offset = [];
            foreach (array_keys($work) as $i) {
                $random = $chance->getInt(-1000, 1000) / 1000.0;
                $offset[$i] = $pinned($i) + ($try === 0 ? 0.0 : self::NEAR * $longest * $random);
            }
            // Every other try goes by the shortest first: few vehicles, and each soon out of the way.
            $plan = self::by($work, $people, $offset, $try % 2 === 0 ? 1.0 : -1.0);
            $best = $best === null || $plan->cost < $best->cost ? $plan : $best;
        }

        return $best;
    }

    /** Mean minutes until a vehicle is done. */
    public function meanMin(): float
    {
        return $this->done === [] ? 0.0 : $this->cost / count($this->done);
    }

    /**
     * What one minute-by-minute rule comes to.
     *
     * @param  list<Work>  $work
     * @param  non-empty-list<string>  $people
     * @param  array<int, float>  $offset  added to the rank of each work
     */
    private static function by(array $work, array $people, array $offset, float $longFirst): self
    {
        $next = array_fill(0, count($work), 0);
        $ready = array_map(fn (Work $one) => $one->fromMin, $work);
        $free = array_fill_keys($people, 0.0);
        $shared = [];
        [$slots, $done] = [
            [],
            array_map(
                fn (Work $one) => $one->fromMin,
                array_combine(array_map(fn (Work $one) => $one->job, $work), $work),
            ),
        ];
        while (true) {
            $chosen = null;
            foreach ($work as $i => $one) {
                $task = $one->tasks[$next[$i]] ?? null;
                if ($task === null) {
                    continue;
                }
                $can = $one->by !== null && isset($free[$one->by])
                        ? $one->by
                        : (string) array_search(min($free), $free, true);
                $start = max($ready[$i], $free[$can], $task->with === null ? 0.0 : $shared[$task->with->value] ?? 0.0);
                $rank = $longFirst * $one->tails[$next[$i]] + $offset[$i];
                if (
                    $chosen === null
                    || $start < $chosen[1] - 1.0e-9
                    || ($start < $chosen[1] + 1.0e-9 && $rank > $chosen[2])
                ) {
                    $chosen = [$i, $start, $rank, $can, $task];
                }
            }
            if ($chosen === null) {
                break;
            }
            [$i, $start, , $person, $task] = $chosen;
            $slot = new Slot($work[$i]->job, $task, $person, $start, $start + $task->handsMin);
            $slots[] = $slot;
            $free[$person] = $slot->toMin;
            $ready[$i] = $slot->untilMin();
            if ($task->with !== null) {
                $shared[$task->with->value] = $slot->untilMin();
            }
            $done[$work[$i]->job] = $slot->untilMin();
            $next[$i]++;
        }

        return new self($slots, $done, array_sum($done));
    }
}
