<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;

/** When the coolant is due, by the shop's rule: distance, time or running hours, whichever comes first. */
final class NextChange
{
    /** How far the coolant that is in it has run; null when nothing of it is known. */
    public static function before(Choices $choices): ?IntervalUsed
    {
        $usage = $choices->usage;

        return $choices->rules->changeInterval($usage->first)
            ->used($usage->sinceKm, $usage->sinceMonths, $usage->sinceHours);
    }

    /** In words, for the sheet: what the new fill is good for. */
    public static function after(Choices $choices, UnitSystem $units): string
    {
        $rule = $choices->rules->changeLater;
        [$odometer, $hours] = [$choices->usage->odometerKm, $choices->usage->hours];
        $road = $units === UnitSystem::UsCustomary ? Unit::Mile : Unit::Kilometre;
        $distance = fn (float $km): string => number_format($road->fromBase($km * 1.0e6)).' '.$road->value;

        return 'after '.$distance($rule->km).($odometer === null ? '' : " (at {$distance($odometer + $rule->km)})")
            .", {$rule->months} months or ".number_format($rule->hours).' running hours'
            .($hours === null ? '' : ' (at '.number_format($hours + $rule->hours).' h)').', whichever comes first';
    }
}
