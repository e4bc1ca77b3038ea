<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Mix;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Stores\Liquid;
use Aqbel\Core\Stores\Offer;
use Aqbel\Core\Stores\PartUsed;
use Aqbel\Core\Stores\ShelfLine;

/**
 * Where the stock of a batch comes from: a part-used container, new ones off the price list, or a drum nobody counts.
 */
final readonly class Source
{
    /** A rest in a new container smaller than this is not worth a label, mL. */
    private const DREGS_ML = 50.0;

    private const ELSEWHERE = 'elsewhere';

    private function __construct(private string $where, private string $id)
    {
    }

    /** As it is kept: `shelf:ID`, `new:ID` or `elsewhere`. */
    public static function from(string $code): self
    {
        [$where, $id] = [...explode(':', $code, 2), ''];

        return new self($where, $id);
    }

    public function partUsed(): ?string
    {
        return $this->where === 'shelf' ? $this->id : null;
    }

    public function offer(): ?string
    {
        return $this->where === 'new' ? $this->id : null;
    }

    public static function newContainers(Offer $offer, float $ml): float
    {
        return ceil($ml / $offer->ml - 1.0e-9);
    }

    /**
     * Part-used containers first, then the price list, then none that is kept.
     *
     * @return non-empty-array<string, string> label by code
     */
    public static function choices(Situation $at, Liquid $liquid, float $neededMl): array
    {
        $stores = $at->stores->suiting($at->facts()->base, $at->facts()->inhibitor);
        $strength = Plan::of($at)->choices->stockFraction;
        $sources = [];
        foreach ($stores->shelf as $container) {
            if ($container->liquid === $liquid && $container->isAbout($strength)) {
                $sources["shelf:{$container->id}"] = self::onShelf($at, $container);
            }
        }
        foreach ($stores->offers as $offer) {
            if ($offer->liquid === $liquid && $offer->isAbout($strength)) {
                $count = (int) max(1.0, self::newContainers($offer, $neededMl));
                $sources["new:{$offer->id}"] = "New, {$count} × {$at->litres($offer->ml)}";
            }
        }

        return [...$sources, self::ELSEWHERE => 'The drum, not counted'];
    }

    /**
     * The part-used container that has enough, else the cheapest new ones.
     *
     * @param  list<string>  $codes
     */
    public static function likeliest(Situation $at, array $codes, float $neededMl): string
    {
        $cost = [];
        foreach ($codes as $code) {
            $source = self::from($code);
            $container = $source->partUsed() === null ? null : $at->stores->container($source->partUsed());
            $offer = $source->offer() === null ? null : $at->stores->offer($source->offer());
            $cost[$code] = match (true) {
                $container !== null => $container->ml >= $neededMl ? 0.0 : INF,
                $offer !== null => self::newContainers($offer, $neededMl) * $offer->price,
                default => PHP_FLOAT_MAX,
            };
        }
        asort($cost);

        return (string) array_key_first($cost);
    }

    public static function onShelf(Situation $at, PartUsed $container): string
    {
        $strength = $container->liquid === Liquid::Premix ? "{$at->say($container->fraction, Unit::Percent)}, " : '';

        return "{$strength}{$at->litres($container->ml)} left".(
            $container->from === '' ? '' : ", from {$container->from}"
        );
    }

    /**
     * What it does to the shelf when so much is taken: a part-used container has less, a new one that is opened is left
     * there with its rest.
     *
     * @return list<ShelfLine>
     */
    public function shelf(Situation $at, float $usedMl): array
    {
        if ($this->partUsed() !== null) {
            return [ShelfLine::taken($this->partUsed(), $usedMl, self::plusMinusMl($at, $usedMl))];
        }
        $offer = $this->offer() === null ? null : $at->stores->offer($this->offer());
        $left = $offer === null ? 0.0 : self::newContainers($offer, $usedMl) * $offer->ml - $usedMl;

        return $offer === null || $left <= self::DREGS_ML
            ? []
            : [ShelfLine::put(
                new PartUsed('', $offer->liquid, $left, $offer->fraction, $at->facts()->base, $at->facts()->inhibitor),
                self::plusMinusMl($at, $usedMl),
            )];
    }

    /** As well as so much is measured for a batch, mL. */
    public static function plusMinusMl(Situation $at, float $ml): float
    {
        return Plan::of($at)->rules()->vessels->forBatch($ml)->plusMinusMl($ml);
    }
}
