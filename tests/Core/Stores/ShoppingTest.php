<?php

declare(strict_types=1);

namespace Tests\Core\Stores;

use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Mixing\Mix;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Stores\Amounts;
use Aqbel\Core\Stores\Bought;
use Aqbel\Core\Stores\CheapestBuy;
use Aqbel\Core\Stores\Inventory;
use Aqbel\Core\Stores\Liquid;
use Aqbel\Core\Stores\Offer;
use Aqbel\Core\Stores\Package;
use Aqbel\Core\Stores\PartUsed;
use Aqbel\Core\Stores\Shopping;
use PHPUnit\Framework\TestCase;

/** What is bought, and what the shelf still gives. */
final class ShoppingTest extends TestCase
{
    /** Prices are invented; the sums are the check. */
    public function test_shopping_compares_concentrate_and_premix_in_whole_containers(): void
    {
        $offers = [
            new Offer(
                'c5',
                Liquid::Concentrate,
                5000,
                32.0,
                1.0,
                Glycol::Ethylene,
                'family A',
            ), new Offer('c1', Liquid::Concentrate, 1500, 11.0, 1.0, Glycol::Ethylene, 'family A'),
            new Offer(
                'p5',
                Liquid::Premix,
                5000,
                26.0,
                0.5,
                Glycol::Ethylene,
                'family A',
            ), new Offer('w', Liquid::Water, 5000, 4.0, 0.0),
        ];
        $need = new Mix(Volume::millilitres(9000), Volume::millilitres(0), 0.0, 0.5);
        [$first, $second] = Shopping::ways($need, $offers);
        // 4500 · 1.15 = 5175 mL of each: 5 + 1.5 L concentrate and two cans of water; premix 10350 mL: three cans.
        self::assertSame([Liquid::Concentrate, 32.0 + 11.0 + 8.0], [$first->stock, $first->cost]);
        self::assertSame([Liquid::Premix, 78.0], [$second->stock, $second->cost]);
        self::assertEqualsWithDelta(6500 - 5175, $first->leftOver->of(Liquid::Concentrate), 0.1);
        [$shelf] = Shopping::ways(
            $need,
            $offers,
            [new PartUsed('1', Liquid::Concentrate, 2000, 1.0, Glycol::Ethylene, 'family A')],
        );
        self::assertSame(32.0 + 8.0, $shelf->cost, 'what stands on the shelf is not bought');
        self::assertEqualsWithDelta(2000, $shelf->fromShelf->of(Liquid::Concentrate), 0.1);
        // With water retained premix cannot reach the target and comes last, however cheap.
        $ways = Shopping::ways(
            new Mix(Volume::millilitres(9000), Volume::millilitres(2600), 0.0, 0.5),
            [...$offers, new Offer('p1', Liquid::Premix, 5000, 1.0, 0.5, Glycol::Ethylene, 'family A')],
        );
        self::assertFalse(end($ways)->mix->reachable());
        self::assertTrue($ways[0]->mix->reachable());
        self::assertFalse(Shopping::ways($need, [])[0]->offered);
    }

    public function test_only_the_same_base_and_family_suits(): void
    {
        $stores = new Inventory(
            [
                new PartUsed('1', Liquid::Premix, 900, 0.5, Glycol::Ethylene, 'Family A, organic acid'),
                new PartUsed('2', Liquid::Premix, 900, 0.5, Glycol::Propylene, 'family A, organic acid'),
                new PartUsed('3', Liquid::Premix, 900, 0.5, Glycol::Ethylene, 'family B'),
            ],
        );
        self::assertSame(
            ['1'],
            array_map(fn (PartUsed $c) => $c->id, $stores->suiting(Glycol::Ethylene, 'family A organic acid')->shelf),
            'spelling is folded, nothing else',
        );
    }

    public function test_no_other_choice_of_containers_is_cheaper(): void
    {
        mt_srand(8);
        for ($try = 0; $try < 60; $try++) {
            $offered = array_map(
                fn () => new Package(Liquid::Water, mt_rand(1, 8) * 500.0, mt_rand(10, 90) / 10),
                range(1, 3),
            );
            $need = mt_rand(1, 900) * 10.0;
            $best = CheapestBuy::of($offered, (new Amounts)->with(Liquid::Water, $need));
            $cheapest = INF;
            for ($a = 0; $a <= 18; $a++) {
                for ($b = 0; $b <= 18; $b++) {
                    for ($c = 0; $c <= 18; $c++) {
                        if ($a * $offered[0]->ml + $b * $offered[1]->ml + $c * $offered[2]->ml >= $need) {
                            $cheapest = min(
                                $cheapest,
                                $a * $offered[0]->price + $b * $offered[1]->price + $c * $offered[2]->price,
                            );
                        }
                    }
                }
            }
            self::assertEqualsWithDelta($cheapest, $best?->cost, 1e-9);
            self::assertGreaterThanOrEqual(-1e-6, $best?->leftOver->of(Liquid::Water));
        }
    }

    public function test_two_cans_of_a_gallon_are_two_gallons_and_a_pallet_is_reckoned_too(): void
    {
        $gallon = Unit::Gallon->toBase(1.0);
        $offered = [
            new Package(Liquid::Premix, $gallon, 20.0),
            new Package(Liquid::Premix, $gallon / 4.0, 6.0),
            new Package(Liquid::Premix, 55.0 * $gallon, 700.0),
        ];
        $bought = fn (float $ml): array => array_map(
            fn (Bought $line) => [round($line->package->ml / $gallon, 2), $line->count],
            CheapestBuy::of($offered, (new Amounts)->with(Liquid::Premix, $ml))->bought ?? [],
        );
        self::assertSame([[1.0, 1]], $bought($gallon));
        self::assertSame([[1.0, 2]], $bought(2.0 * $gallon));
        self::assertSame([[1.0, 4]], $bought(4.0 * $gallon));
        self::assertEqualsCanonicalizing([[1.0, 2], [0.25, 1]], $bought(2.1 * $gallon));
        $pallet = array_sum(array_map(fn (array $line) => $line[0] * $line[1], $bought(396.0 * $gallon)));
        self::assertEqualsWithDelta(396.0, $pallet, 2.0);
    }

    public function test_both_ways_of_buying_hold_what_the_circuit_takes_with_the_spare(): void
    {
        mt_srand(9);
        $offers = [
            new Offer('c', Liquid::Concentrate, 1500, 11, 1.0, Glycol::Ethylene, 'a'),
            new Offer('p', Liquid::Premix, 5000, 26, 0.5, Glycol::Ethylene, 'a'),
            new Offer('w', Liquid::Water, 5000, 4, 0.0),
        ];
        for ($try = 0; $try < 60; $try++) {
            $capacity = mt_rand(2000, 40000);
            $need = new Mix(
                Volume::millilitres($capacity),
                Volume::millilitres(mt_rand(0, 40) / 100 * $capacity),
                mt_rand(0, 1) * 0.5,
                mt_rand(35, 60) / 100,
            );
            foreach (Shopping::ways($need, $offers) as $way) {
                $bought = array_sum(array_map(fn (Bought $line) => $line->count * $line->package->ml, $way->bought));
                self::assertGreaterThanOrEqual(0.998 * Shopping::SPARE * $way->mix->room->mL() - 3.0, $bought);
                self::assertEqualsWithDelta(
                    $way->cost,
                    array_sum(array_map(fn (Bought $line) => $line->count * $line->package->price, $way->bought)),
                    1e-9,
                );
                self::assertLessThanOrEqual(
                    max($need->targetFraction, $need->retainedFraction) + 1e-9,
                    $way->mix->finalFraction(),
                    'never stronger than asked',
                );
            }
        }
    }
}
