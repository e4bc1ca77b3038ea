<?php

declare(strict_types=1);

namespace App\Stores;

use App\Models\Product;
use Aqbel\Core\Quantity\PackSize;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Stores\Liquid;
use Aqbel\Core\Stores\Offer;

/** All sizes in which one liquid is bought. */
final readonly class PriceRow
{
    public string $name;

    public string $about;

    /** @param  list<Product>  $sizes */
    public function __construct(Offer $offer, private array $sizes, private UnitSystem $units, private string $currency)
    {
        $this->name = $offer->liquid->label().(
            $offer->liquid === Liquid::Premix ? ' '.round($offer->fraction * 100).' %' : ''
        );
        $this->about = $offer->base === null ? '' : "{$offer->inhibitor}, ".mb_strtolower($offer->base->label());
    }

    /** What prices of different sizes are compared by. */
    public static function per(UnitSystem $units): Unit
    {
        return $units === UnitSystem::UsCustomary ? Unit::Gallon : Unit::Litre;
    }

    /** @return list<array{id: int, size: string, price: string, each: string, remove: string}> */
    public function sizes(): array
    {
        $say = fn (Product $p): array => [
            'id' => $p->id,
            'size' => PackSize::said($p->ml, $this->units),
            'price' => number_format($p->price, 2)." {$this->currency}",
            'each' => number_format($p->price / self::per($this->units)->fromBase($p->ml), 2),
            'remove' => "Remove {$this->name}, ".PackSize::said($p->ml, $this->units).", {$p->inhibitor}",
        ];

        return array_map($say, $this->sizes);
    }
}
