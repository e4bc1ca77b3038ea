<?php

declare(strict_types=1);

namespace App\Practice;

use Illuminate\Database\Eloquent\Model;

/** Found by its number in an address, in the shop or where somebody practises. */
trait FoundOnItsGround
{
    public function resolveRouteBinding($value, $field = null): ?Model
    {
        return Ground::holds($value)
            ? self::on(Ground::CONNECTION)->whereKey($value)->first()
            : parent::resolveRouteBinding($value, $field);
    }
}
