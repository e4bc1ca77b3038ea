<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** A row of one of the shop’s tables. */
abstract class Row extends Model
{
    use BootsByName;

    protected $guarded = [];
}
