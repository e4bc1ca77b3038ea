<?php

declare(strict_types=1);

namespace App\Models;

use Aqbel\Core\Plan\Format\RulesCodec;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\Tool;

/**
 * The one shop this installation belongs to.
 *
 * @property string $name
 * @property float $elevation_m
 * @property array<mixed> $rules
 * @property int $lock_minutes after which a shared tablet asks who is there; 0 for never
 * @property list<string>|null $tools codes of what is at hand; null where nobody has said
 * @property ?string $calendar secret part of its calendar's address; null while there is none
 * @property list<string>|null $granted codes of rights that technicians have here too
 */
class Shop extends Row
{
    protected $table = 'shops';

    protected $casts = [
        'elevation_m' => 'float',
        'lock_minutes' => 'integer',
        'rules' => 'array',
        'tools' => 'array',
        'granted' => 'array',
    ];

    protected static function booted(): void
    {
        static::saved(fn () => app()->forgetInstance(self::class));
    }

    /** Read once a request. */
    public static function here(): self
    {
        return app(self::class);
    }

    public static function stored(): self
    {
        return self::query()->first() ?? new self([
            'name' => 'Aqbel',
            'elevation_m' => 0.0,
            'rules' => [],
            'tools' => null,
            'granted' => null,
            'lock_minutes' => 5,
        ]);
    }

    /** @return ?list<Tool> at hand in a plan that says nothing else; null where all are */
    public function toolsAtHand(): ?array
    {
        return $this->tools === null ? null : array_values(array_filter(array_map(Tool::tryFrom(...), $this->tools)));
    }

    public function grants(Right $right): bool
    {
        return in_array($right->value, $this->granted ?? [], true);
    }

    /** The rules of the house, with the change interval that a vehicle has of its own. */
    public function rulesFor(Vehicle $vehicle): HouseRules
    {
        $rules = $this->houseRules();
        if ($vehicle->interval_km === null && $vehicle->interval_months === null && $vehicle->interval_hours === null) {
            return $rules;
        }
        $own = $vehicle->interval($rules->changeLater)->toArray();

        return RulesCodec::read([...RulesCodec::write($rules), 'changeFirst' => $own, 'changeLater' => $own]);
    }

    public function houseRules(): HouseRules
    {
        return RulesCodec::read($this->rules);
    }
}
