<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Flow\Tie;

/** The cheapest combination of raise, funnel and bleed points that leaves less air than allowed. */
final readonly class CheapestFill
{
    private const LIFTS_MM = [0.0, 150.0, 300.0];

    private const HEADS_MM = [0.0, 150.0, 300.0];

    /** Twice as coarse finds the candidates, within 1 % of capacity; the standard mesh decides. */
    private const SEARCH_COARSENESS = 2.0;

    private const SEARCH_SLACK = 0.01;

    /** Hands of any pour, and per metre of lift and funnel on top of setting them up (common practice, no source). */
    private const POUR_MINUTES = 10.0;

    private const LIFT_MINUTES_PER_M = 10.0;

    private const HEAD_MINUTES_PER_M = 1000.0 / 300.0;

    private const BLEED_MINUTES = 4.0;

    /** @param  float  $airHighMl  the most that may stay, whichever way round the heights are on which it hangs */
    private function __construct(
        public PlannedPour $pour,
        public float $airMl,
        public float $airHighMl,
        public float $minutes,
    ) {
    }

    /**
     * In order of the minutes they cost, until one leaves less than the limit; null when none does. One that does so
     * only if two heights were measured the right way round comes after all that do in any case. Of two sets that do,
     * the smaller comes first: one more open point can seal another branch.
     */
    public static function of(Circuit $circuit, Choices $choices, Simulations $fills): ?self
    {
        [$limit, $unsure] = [$choices->airLimitMl($circuit), null];
        foreach (self::tries($circuit, $choices) as $try) {
            if (
                $fills->of($try, self::SEARCH_COARSENESS)->airMl
                > $limit + self::SEARCH_SLACK * $circuit->capacityMl()
            ) {
                continue;
            }
            $air = $fills->of($try)->airMl;
            if ($air <= $limit) {
                $high = max([$air, ...array_map(fn (Tie $tie) => $tie->highMl, $fills->ties($try)->all)]);
                $found = new self($try, $air, $high, self::minutes($try, $choices->rules->labour));
                if ($high <= $limit) {
                    return $found;
                }
                $unsure ??= $found;
            }
        }

        return $unsure;
    }

    /** @return list<PlannedPour> cheapest first */
    private static function tries(Circuit $circuit, Choices $choices): array
    {
        $tries = [];
        foreach ($choices->has(Tool::Ramps) ? self::LIFTS_MM : [0.0] as $lift) {
            foreach ($choices->has(Tool::Funnel) ? self::HEADS_MM : [0.0] as $head) {
                foreach (self::subsets($choices->bleedsOf($circuit)) as $open) {
                    $tries[] = PlannedPour::atTheNeck($circuit, $open, $head, $lift);
                }
            }
        }
        $labour = $choices->rules->labour;
        usort($tries, fn (PlannedPour $a, PlannedPour $b) => self::minutes($a, $labour) <=> self::minutes($b, $labour));

        return $tries;
    }

    private static function minutes(PlannedPour $pour, Labour $labour): float
    {
        $lift = $pour->noseLiftMm > 0.0
            ? $labour->of(Labour::RAISE)->hands + self::LIFT_MINUTES_PER_M * $pour->noseLiftMm / 1000.0
            : 0.0;
        $head = $pour->headMm > 0.0
            ? $labour->of(Labour::FUNNEL)->hands + self::HEAD_MINUTES_PER_M * $pour->headMm / 1000.0
            : 0.0;

        return self::POUR_MINUTES + $lift + $head + self::BLEED_MINUTES * count($pour->open);
    }

    /**
     * @param  list<string>  $bleeds
     * @return list<list<string>> every subset of up to three points, else each alone and all together
     */
    private static function subsets(array $bleeds): array
    {
        if (count($bleeds) > 3) {
            return [[], ...array_map(fn (string $b) => [$b], $bleeds), $bleeds];
        }
        $subsets = [[]];
        foreach ($bleeds as $bleed) {
            foreach ($subsets as $subset) {
                $subsets[] = [...$subset, $bleed];
            }
        }

        return $subsets;
    }
}
