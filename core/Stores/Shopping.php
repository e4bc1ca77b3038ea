<?php

declare(strict_types=1);

namespace Aqbel\Core\Stores;

use Aqbel\Core\Mixing\Mix;

/** One way to buy what a fill takes, in whole containers: concentrate with water, or premix. */
final readonly class Shopping
{
    /** Bought on top of the predicted need, of the 10–25 % the trade takes (common practice, no source). */
    public const SPARE = 1.15;

    /**
     * @param  list<array{kind: string, ml: float, count: int, price: float}>  $buy
     * @param  array<string, float>  $leftOverMl  by kind
     * @param  array<string, float>  $fromShelfMl  by kind
     */
    private function __construct(
        public string $stock,
        public Mix $mix,
        /** Glycol share of the liquid bought. */
        public float $stockFraction,
        public array $buy,
        public float $cost,
        public array $leftOverMl,
        public array $fromShelfMl,
        /** False when the price list has nothing of this base and family. */
        public bool $offered,
    ) {
    }

    /**
     * Both ways side by side, the cheaper one that reaches the target first.
     *
     * @param  list<Offer>  $offers  that suit the circuit
     * @param  list<PartUsed>  $shelf  part-used containers that suit it
     * @return list<self>
     */
    public static function ways(Mix $need, array $offers, array $shelf = []): array
    {
        $strengths = array_values(array_unique(array_map(fn (Offer $o) => $o->fraction, array_filter($offers, fn (Offer $o) => $o->kind === Offer::PREMIX))));
        $ways = [self::way(Offer::CONCENTRATE, 1.0, $need, $offers, $shelf)];
        foreach ($strengths === [] ? [0.5] : $strengths as $strength) {
            $ways[] = self::way(Offer::PREMIX, $strength, $need, $offers, $shelf);
        }
        usort($ways, fn (self $a, self $b) => [! $a->offered, ! $a->mix->reachable(), $a->cost] <=> [! $b->offered, ! $b->mix->reachable(), $b->cost]);

        return $ways;
    }

    /**
     * @param  list<Offer>  $offers
     * @param  list<PartUsed>  $shelf
     */
    private static function way(string $stock, float $strength, Mix $need, array $offers, array $shelf): self
    {
        $mix = new Mix($need->capacity, $need->retained, $need->retainedFraction, $need->targetFraction, $strength);
        $wanted = array_filter([$stock => self::SPARE * $mix->stock()->mL(), Offer::WATER => self::SPARE * $mix->water()->mL()], fn (float $ml) => $ml > 1.0);
        $fromShelf = [];
        foreach ($wanted as $kind => $ml) {
            $there = array_sum(array_map(fn (PartUsed $c) => $c->ml, array_filter($shelf, fn (PartUsed $c) => $c->kind === $kind && abs($c->fraction - ($kind === Offer::WATER ? 0.0 : $strength)) < 0.02)));
            $fromShelf[$kind] = min($ml, $there);
        }
        $usable = array_values(array_filter($offers, fn (Offer $o) => $o->kind === Offer::WATER || ($o->kind === $stock && abs($o->fraction - $strength) < 0.005)));
        $bought = CheapestBuy::cheapest(array_map(fn (Offer $o) => ['kind' => $o->kind, 'ml' => $o->ml, 'price' => $o->price], $usable),
            array_map(fn (string $kind) => $wanted[$kind] - $fromShelf[$kind], array_combine(array_keys($wanted), array_keys($wanted))));

        return new self($stock, $mix, $strength, $bought['buy'] ?? [], $bought['cost'] ?? 0.0, $bought['left_over_ml'] ?? [], array_filter($fromShelf, fn (float $ml) => $ml > 1.0), $bought !== null);
    }
}
