<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;

/**
 * A small photograph of one point of a circuit that came along with it from another shop.
 *
 * @property string $id
 * @property string $circuit_key
 * @property string $port
 * @property string $digest  SHA-256 of the picture
 * @property string $jpeg  base64
 */
class CircuitPhoto extends Row
{
    use HasUlids;

    public const UPDATED_AT = null;

    protected $table = 'circuit_photos';
}
