<?php

declare(strict_types=1);

namespace App\Models;

use Aqbel\Core\Plan\Format\RulesCodec;
use Aqbel\Core\Plan\HouseRules;
use Illuminate\Database\Eloquent\Model;

/**
 * The one shop this installation belongs to.
 *
 * @property string $name
 * @property float $elevation_m
 * @property array<mixed> $rules
 */
class Shop extends Model
{
    protected $table = 'shops';

    protected $guarded = [];

    protected $casts = ['elevation_m' => 'float', 'rules' => 'array'];

    public static function here(): self
    {
        return self::query()->first() ?? new self(['name' => 'Aqbel', 'elevation_m' => 0.0, 'rules' => []]);
    }

    public function houseRules(): HouseRules
    {
        return RulesCodec::read($this->rules);
    }
}
