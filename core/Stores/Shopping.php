<?php

declare(strict_types=1);

namespace Aqbel\Core\Stores;

use Aqbel\Core\Mixing\Mix;

/** One way to buy what a fill takes, in whole containers: concentrate with water, or premix. */
final readonly class Shopping
{
    /** Bought and mixed on top of the predicted need, of the 10–25 % the trade takes (common practice, no source). */
    public const SPARE = 1.15;

    private const NOTHING_ML = 1.0;

    /** Two strengths nearer than this are one product. */
    private const SAME_STRENGTH = 0.005;

    /**
     * @param  float  $stockFraction  glycol share of the liquid bought
     * @param  list<Bought>  $bought
     * @param  bool  $offered  false when the price list has nothing of this base and family
     */
    private function __construct(
        public Liquid $stock,
        public Mix $mix,
        public float $stockFraction,
        public array $bought,
        public float $cost,
        public Amounts $leftOver,
        public Amounts $fromShelf,
        public bool $offered,
    ) {
    }

    /**
     * Both ways side by side, the cheaper one that reaches the target first.
     *
     * @param  list<Offer>  $offers  that suit the circuit
     * @param  list<PartUsed>  $shelf  part-used containers that suit it
     * @return non-empty-list<self>
     */
    public static function ways(Mix $need, array $offers, array $shelf = []): array
    {
        $premixes = array_filter($offers, fn (Offer $o) => $o->liquid === Liquid::Premix);
        $strengths = array_values(array_unique(array_map(fn (Offer $o) => $o->fraction, $premixes)));
        $ways = [self::way(Liquid::Concentrate, 1.0, $need, $offers, $shelf)];
        foreach ($strengths === [] ? [0.5] : $strengths as $strength) {
            $ways[] = self::way(Liquid::Premix, $strength, $need, $offers, $shelf);
        }
        $rank = fn (self $way): array => [! $way->offered, ! $way->mix->reachable(), $way->cost];
        usort($ways, fn (self $a, self $b) => $rank($a) <=> $rank($b));

        return $ways;
    }

    /**
     * @param  list<Offer>  $offers
     * @param  list<PartUsed>  $shelf
     */
    private static function way(Liquid $stock, float $strength, Mix $need, array $offers, array $shelf): self
    {
        $mix = $need->from($strength);
        $wanted = (new Amounts)
            ->with($stock, self::SPARE * $mix->stock()->mL())
            ->with(Liquid::Water, self::SPARE * $mix->water()->mL());
        [$fromShelf, $missing] = [new Amounts, new Amounts];
        foreach ($wanted->liquids(self::NOTHING_ML) as $liquid) {
            $there = self::onShelf($shelf, $liquid, $liquid === Liquid::Water ? 0.0 : $strength);
            $fromShelf = $fromShelf->with($liquid, min($wanted->of($liquid), $there));
            $missing = $missing->with($liquid, $wanted->of($liquid) - $fromShelf->of($liquid));
        }
        $fits = fn (Offer $o): bool => $o->liquid === Liquid::Water
            || ($o->liquid === $stock && abs($o->fraction - $strength) < self::SAME_STRENGTH);
        $packages = array_map(
            fn (Offer $o) => new Package($o->liquid, $o->ml, $o->price),
            array_values(array_filter($offers, $fits)),
        );
        $buy = CheapestBuy::of($packages, $missing);

        return new self(
            $stock,
            $mix,
            $strength,
            $buy->bought ?? [],
            $buy->cost ?? 0.0,
            $buy->leftOver ?? new Amounts,
            $fromShelf,
            $buy !== null,
        );
    }

    /** @param  list<PartUsed>  $shelf */
    private static function onShelf(array $shelf, Liquid $liquid, float $strength): float
    {
        $fits = array_filter($shelf, fn (PartUsed $c) => $c->liquid === $liquid && $c->isAbout($strength));

        return array_sum(array_map(fn (PartUsed $c) => $c->ml, $fits));
    }
}
