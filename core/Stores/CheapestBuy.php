<?php

declare(strict_types=1);

namespace Aqbel\Core\Stores;

/** The cheapest whole containers that hold at least what is needed. */
final readonly class CheapestBuy
{
    /** A sum is told to one part in so many: a shop buys by the can and by the pallet. */
    private const PARTS = 2000;

    private const FINEST_STEP_ML = 2.0;

    /** What is missing by no more than this counts as covered: two cans of a gallon are two gallons. */
    private const MISSING_SHARE = 0.002;

    /** @param  list<Bought>  $bought */
    private function __construct(public array $bought, public float $cost, public Amounts $leftOver)
    {
    }

    /**
     * Null when a liquid that is needed is not offered.
     *
     * @param  list<Package>  $offered
     */
    public static function of(array $offered, Amounts $needed): ?self
    {
        [$bought, $cost, $left] = [[], 0.0, new Amounts];
        foreach ($needed->liquids() as $liquid) {
            $sizes = array_values(array_filter($offered, fn (Package $p) => $p->liquid === $liquid));
            if ($sizes === []) {
                return null;
            }
            $holds = 0.0;
            $step = max(self::FINEST_STEP_ML, $needed->of($liquid) / self::PARTS);
            $steps = (int) ceil((1.0 - self::MISSING_SHARE) * $needed->of($liquid) / $step);
            foreach (self::cover($sizes, $steps, $step) as $i => $count) {
                $bought[] = new Bought($sizes[$i], $count);
                $cost += $count * $sizes[$i]->price;
                $holds += $count * $sizes[$i]->ml;
            }
            $left = $left->with($liquid, max(0.0, $holds - $needed->of($liquid)));
        }

        return new self($bought, $cost, $left);
    }

    /**
     * Unbounded knapsack from below; of two equal prices the fuller one wins.
     *
     * @param  non-empty-list<Package>  $sizes
     * @return array<int, int> count by index
     */
    private static function cover(array $sizes, int $steps, float $stepMl): array
    {
        $each = array_map(fn (Package $size) => max(1, (int) round($size->ml / $stepMl)), $sizes);
        $best = [0 => [0.0, 0.0, 0]];
        foreach (self::leftAfter($each, $steps) as $need) {
            foreach ($sizes as $i => $size) {
                [$price, $ml] = $best[max(0, $need - $each[$i])];
                [$price, $ml] = [$price + $size->price, $ml + $size->ml];
                $so = $best[$need] ?? null;
                if ($so === null || $price < $so[0] || $price === $so[0] && $ml < $so[1]) {
                    $best[$need] = [$price, $ml, $i];
                }
            }
        }
        $counts = [];
        for ($need = $steps; $need > 0; $need = max(0, $need - $each[$i])) {
            $i = $best[$need][2];
            $counts[$i] = ($counts[$i] ?? 0) + 1;
        }

        return $counts;
    }

    /**
     * What may still be needed when some cans are bought, the least first: of the sums in between none is ever
     * asked for.
     *
     * @param  non-empty-list<int>  $each
     * @return list<int>
     */
    private static function leftAfter(array $each, int $steps): array
    {
        $left = [];
        for ($open = [$steps]; $open !== [];) {
            $need = array_pop($open);
            if ($need > 0 && ! isset($left[$need])) {
                $left[$need] = true;
                foreach ($each as $holds) {
                    $open[] = $need - $holds;
                }
            }
        }
        ksort($left);

        return array_keys($left);
    }
}
