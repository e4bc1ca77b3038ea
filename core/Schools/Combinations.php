<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Plan\Groundwork;
use Aqbel\Core\Plan\LikelyRuns;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Plan\School;

/**
 * Ways put together that make sense on a circuit: every fill that fits, with every warm-up that suits it and every aid
 * that leaves less air there; of them those that no other beats in air and time.
 */
final class Combinations
{
    public const MOST = 12;

    /**
     * An aid that leaves less air by no more than this share of the
     * capacity brings nothing (common practice, no source).
     */
    private const BRINGS = 0.005;

    /** @return list<Combination> soonest done first */
    public static function of(Planner $planner, Groundwork $on): array
    {
        $all = [];
        foreach (FillBy::cases() as $fill) {
            $school = $fill->school($on->circuit);
            if ($school === null || $planner->misfit($school, $on) !== null) {
                continue;
            }
            $helpful = self::helpful($on, $school);
            foreach (self::warmUps($fill) as $warmedBy) {
                foreach (self::subsets($helpful) as $aids) {
                    $way = Way::made($school, $warmedBy, $aids, RunsUntil::OneRun);
                    if ($way !== null && ! self::isOneByName($way) && $planner->misfit($way, $on) === null) {
                        $all[] = self::combination($planner, $on, $way);
                    }
                }
            }
        }
        $best = [];
        foreach ($all as $one) {
            // Of two that come to the same the plainer one, which stands first.
            $same = (string) json_encode([$one->way->by->id(), $one->fill->airMl, $one->likelyMinutes()->total()]);
            if (array_filter($all, $one->isWorseThan(...)) === []) {
                $best[$same] ??= $one;
            }
        }
        $best = array_values($best);
        usort(
            $best,
            fn (Combination $a, Combination $b) => [$a->likelyMinutes()->total(), $a->fill->airMl] <=> [
                $b->likelyMinutes()->total(),
                $b->fill->airMl,
            ],
        );

        return array_slice($best, 0, self::MOST);
    }

    /**
     * How much less air each aid leaves, after one fill.
     *
     * @return array<string, float> mL, by aid; those that bring nothing left out
     */
    public static function brings(Groundwork $on, School $school): array
    {
        // A vacuum leaves its air under the neck: no aid reaches that.
        if ($school->mixedOutside()) {
            return [];
        }
        $brings = [];
        $plain = Way::made($school, WarmedBy::Sealed, [], RunsUntil::OneRun);
        $without = $plain === null ? 0.0 : $on->filledBy($plain)->airMl;
        foreach (Aid::cases() as $aid) {
            $with = Way::made($school, WarmedBy::Sealed, [$aid], RunsUntil::OneRun);
            $less = $with === null || $with->whyNot($on->circuit, $on->choices) !== null
                    ? 0.0
                    : $without - $on->filledBy($with)->airMl;
            if ($less > self::BRINGS * $on->circuit->capacityMl()) {
                $brings[$aid->value] = $less;
            }
        }

        return $brings;
    }

    /** @return list<Aid> */
    private static function helpful(Groundwork $on, School $school): array
    {
        return array_map(Aid::from(...), array_keys(self::brings($on, $school)));
    }

    private static function combination(Planner $planner, Groundwork $on, Way $way): Combination
    {
        $plan = $planner->by($way, $on);
        $brings = [];
        foreach ($way->aids as $aid) {
            $without = Way::made(
                $way->by,
                $way->warmedBy,
                array_values(array_filter($way->aids, fn (Aid $other) => $other !== $aid)),
                $way->until,
            );
            $brings[$aid->value] = max(0.0, ($without === null ? 0.0 : $on->filledBy($without)->airMl) - $plan->fill->airMl);
        }

        return new Combination(
            $way,
            $plan->fill,
            $plan->minutes($planner->kinds)->plus($way->besides($on->choices)),
            LikelyRuns::of($plan, $on->circuit, $planner->kinds),
            $brings,
        );
    }

    /** @return non-empty-list<WarmedBy> under a funnel where one stands anyway; a manual’s routine stands on its own */
    private static function warmUps(FillBy $fill): array
    {
        return match ($fill) {
            FillBy::Funnel => [WarmedBy::UnderFunnel],
            // What is left gathers under the neck, and is topped up before anything runs.
            FillBy::Vacuum => [WarmedBy::Sealed],
            default => [WarmedBy::Sealed, WarmedBy::OpenNeck, WarmedBy::LooseCap, WarmedBy::VentBolt],
        };
    }

    /** Filled by one school and run as that one does. */
    private static function isOneByName(Way $way): bool
    {
        return $way->aids === [] && ($way->warmedBy === WarmedBy::Sealed || $way->warmedBy === WarmedBy::UnderFunnel);
    }

    /**
     * @param  list<Aid>  $aids
     * @return list<list<Aid>>
     */
    private static function subsets(array $aids): array
    {
        $subsets = [[]];
        foreach ($aids as $aid) {
            foreach ($subsets as $subset) {
                $subsets[] = [...$subset, $aid];
            }
        }

        return $subsets;
    }
}
