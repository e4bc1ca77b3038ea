<?php

declare(strict_types=1);

namespace App\Stores;

use App\Models\Product;
use Aqbel\Core\Quantity\Dimension;
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

    /** @return list<array{id: int, volume: string, price: string, perLitre: string, remove: string}> */
    public function sizes(): array
    {
        $say = fn (Product $p): array => [
            'id' => $p->id, 'volume' => $this->units->format($p->ml, Dimension::Volume), 'price' => number_format($p->price, 2)." {$this->currency}",
            'perLitre' => number_format($p->price / $p->ml * 1000, 2),
            'remove' => "Remove {$this->name}, {$this->units->format($p->ml, Dimension::Volume)}, {$p->inhibitor}",
        ];

        return array_map($say, $this->sizes);
    }
}
