<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;

/** When the coolant is due, by the shop's rule: distance, time or running hours, whichever comes first. */
final class NextChange
{
    private const DUE = 0.9;

    /**
     * How far the coolant that is in it has run; null when nothing of it is known.
     *
     * @return ?array{share: float, by: string, due: bool}
     */
    public static function before(Choices $input): ?array
    {
        $used = $input->rules->changeInterval($input->usage['first'] ?? false)->used($input->usage['since_km'] ?? null, $input->usage['since_months'] ?? null, $input->usage['since_hours'] ?? null);

        return $used === null ? null : [...$used, 'due' => $used['share'] >= self::DUE];
    }

    /** In words, for the sheet: what the new fill is good for. */
    public static function after(Choices $input, UnitSystem $units): string
    {
        $rule = $input->rules->changeInterval(false);
        $road = $units === UnitSystem::UsCustomary ? Unit::Mile : Unit::Kilometre;
        $odometer = $input->usage['odometer_km'] ?? null;
        $hours = $input->usage['hours'] ?? null;
        $distance = fn (float $km): string => number_format($road->fromBase($km * 1.0e6)).' '.$road->value;

        return 'after '.$distance($rule->km).($odometer === null ? '' : " (at {$distance($odometer + $rule->km)})").", {$rule->months} months or ".number_format($rule->hours).' running hours'
            .($hours === null ? '' : ' (at '.number_format($hours + $rule->hours).' h)').', whichever comes first';
    }
}
