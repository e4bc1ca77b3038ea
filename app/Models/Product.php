<?php

declare(strict_types=1);

namespace App\Models;

use Aqbel\Core\Coolant\Offer;
use Aqbel\Core\Fluid\GlycolBase;
use Illuminate\Database\Eloquent\Model;

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
class Product extends Model
{
    protected $guarded = [];

    protected $casts = ['fraction' => 'float', 'ml' => 'float', 'price' => 'float'];

    public function offer(): Offer
    {
        return new Offer((string) $this->id, $this->kind, $this->ml, $this->price, $this->fraction, $this->base === null ? null : GlycolBase::from($this->base), $this->inhibitor);
    }
}
