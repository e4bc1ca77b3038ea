<?php

declare(strict_types=1);

namespace Aqbel\Core\Stores;

/** The cheapest whole containers that hold at least what is needed. */
final class CheapestBuy
{
    private const STEP_ML = 10.0;

    /**
     * @param  list<array{kind: string, ml: float, price: float}>  $offered
     * @param  array<string, float>  $needed  mL by kind
     * @return array{buy: list<array{kind: string, ml: float, count: int, price: float}>, cost: float, left_over_ml: array<string, float>}|null null when a kind that is needed is not offered
     */
    public static function cheapest(array $offered, array $needed): ?array
    {
        [$buy, $cost, $left] = [[], 0.0, []];
        foreach ($needed as $kind => $ml) {
            $ofKind = array_values(array_filter($offered, fn (array $c) => $c['kind'] === $kind));
            if ($ml <= 0.0) {
                continue;
            }
            if ($ofKind === []) {
                return null;
            }
            $counts = self::cover($ofKind, (int) ceil($ml / self::STEP_ML));
            $bought = 0.0;
            foreach ($counts as $i => $count) {
                $buy[] = ['kind' => $kind, 'ml' => $ofKind[$i]['ml'], 'count' => $count, 'price' => $ofKind[$i]['price']];
                $cost += $count * $ofKind[$i]['price'];
                $bought += $count * $ofKind[$i]['ml'];
            }
            $left[$kind] = $bought - $ml;
        }

        return ['buy' => $buy, 'cost' => $cost, 'left_over_ml' => $left];
    }

    /**
     * Unbounded knapsack from below; of two equal prices the fuller one wins.
     *
     * @param  non-empty-list<array{kind: string, ml: float, price: float}>  $containers
     * @return array<int, int> count by index
     */
    private static function cover(array $containers, int $steps): array
    {
        $best = [0 => [0.0, 0.0, 0]];
        for ($need = 1; $need <= $steps; $need++) {
            foreach ($containers as $i => $container) {
                $before = $best[max(0, $need - (int) floor($container['ml'] / self::STEP_ML))];
                $try = [$before[0] + $container['price'], $before[1] + $container['ml'], $i];
                if (! isset($best[$need]) || [$try[0], $try[1]] < [$best[$need][0], $best[$need][1]]) {
                    $best[$need] = $try;
                }
            }
        }
        $counts = [];
        for ($need = $steps; $need > 0; $need = max(0, $need - (int) floor($containers[$i]['ml'] / self::STEP_ML))) {
            $i = (int) $best[$need][2];
            $counts[$i] = ($counts[$i] ?? 0) + 1;
        }

        return $counts;
    }
}
