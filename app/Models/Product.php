<?php

declare(strict_types=1);

namespace App\Models;

use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Stores\Liquid;
use Aqbel\Core\Stores\Offer;

/**
 * One line of the shop's price list: a container of concentrate, premix or water.
 *
 * @property int $id
 * @property string $kind
 * @property ?string $base
 * @property string $inhibitor
 * @property float $fraction
 * @property float $ml
 * @property float $price
 */
class Product extends Row
{
    protected $table = 'products';

    protected $casts = ['fraction' => 'float', 'ml' => 'float', 'price' => 'float'];

    public function offer(): Offer
    {
        return self::read((object) $this->getAttributes());
    }

    public static function read(\stdClass $row): Offer
    {
        $base = $row->base === null ? null : Glycol::from($row->base);

        return new Offer(
            (string) $row->id,
            Liquid::from($row->kind),
            (float) $row->ml,
            (float) $row->price,
            (float) $row->fraction,
            $base,
            $row->inhibitor,
        );
    }
}
