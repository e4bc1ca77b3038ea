<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;

/** When the coolant is due, by the shop's rule: distance, time or running hours, whichever comes first. */
final class NextChange
{
    /** Coolant counts as changed with no more of the old one than this (common practice, no source). */
    private const RENEWED = 0.25;

    /** Whether coolant with so much of the old one in it counts as changed. */
    public static function renews(float $oldShare): bool
    {
        return $oldShare <= self::RENEWED;
    }

    /** How far the coolant that is in it has run; null when nothing of it is known. */
    public static function before(Choices $choices): ?IntervalUsed
    {
        $usage = $choices->usage;

        return $choices->rules->changeInterval($usage->first)
            ->used($usage->sinceKm, $usage->sinceMonths, $usage->sinceHours);
    }

    /**
     * In words, for the sheet: what the fill is good for. Coolant of which too much is the old one is as old as that.
     *
     * @param  float  $oldShare  of what is inside now
     */
    public static function after(Choices $choices, UnitSystem $units, float $oldShare): string
    {
        if (! self::renews($oldShare)) {
            $used = self::before($choices);
            $is = Unit::Percent->fromBase($oldShare);

            return 'not put off by this job, for '.number_format($is).' % is the old coolant: '.($used === null
                ? 'how far it has run is not known'
                : number_format(Unit::Percent->fromBase($used->share)).' % of its interval is used up');
        }
        $rule = $choices->rules->changeLater;
        [$odometer, $hours] = [$choices->usage->odometerKm, $choices->usage->hours];
        $road = $units->road();
        $distance = fn (float $km): string => number_format($road->fromBase($km * 1.0e6)).' '.$road->value;

        return 'after '.$distance($rule->km).($odometer === null ? '' : " (at {$distance($odometer + $rule->km)})")
            .", {$rule->months} months or ".number_format($rule->hours).' running hours'
            .($hours === null ? '' : ' (at '.number_format($hours + $rule->hours).' h)').', whichever comes first';
    }
}
