<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\RunHot;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/**
 * A hot run without a live reading: the needle of the dash, hoses and heater air by hand. It counts at its worth, which
 * is less than a reading’s, and the verdict says so.
 */
final class ByHand
{
    public const FORM = 'felt';

    private const NEEDLE = ['low' => 'Still low', 'middle' => 'In the middle', 'high' => 'Above the middle'];

    private const WARMTH = ['cold' => 'Cold', 'warm' => 'Warm', 'hot' => 'Hot'];

    /** @param  list<?Field>  $besides  what is said with a reading too */
    public static function form(Situation $at, array $besides): Form
    {
        return new Form(self::FORM, 'No live reading: needle and hand', [
            Field::choice('needle', 'Needle', self::NEEDLE),
            Field::choice('hose', 'By hand: '.$at->facts()->thermostatFarSide, self::WARMTH),
            $at->facts()->outlets === [] ? null : Field::choice('heater', 'Heater air by hand', self::WARMTH),
            ...$besides,
        ], false);
    }

    /** Hot coolant behind the thermostat. */
    public static function passedTheThermostat(Entry $felt): bool
    {
        return $felt->form === self::FORM && $felt->text('hose') === 'hot';
    }

    /** Every outlet, since a hand tells one from the other only by cold. */
    public static function heaterIsHot(Entry $felt): bool
    {
        return $felt->form === self::FORM && $felt->text('heater') === 'hot';
    }

    /** The engine is warm, and so is what it pumps: where the heater is cold then, air stands in it. */
    public static function heaterIsCold(Entry $felt): bool
    {
        return $felt->form === self::FORM && $felt->text('heater') === 'cold' && $felt->text('needle') !== 'low' && $felt->text('hose') === 'hot';
    }

    /** Hot behind the thermostat, and the needle has not moved: it is not in coolant. */
    public static function needleIsInAir(Entry $felt): bool
    {
        return self::passedTheThermostat($felt) && $felt->text('needle') === 'low';
    }

    public static function needleIsHigh(Entry $felt): bool
    {
        return $felt->form === self::FORM && $felt->text('needle') === 'high';
    }

    /** As hot as a needle tells: where a fan may come on. */
    public static function isWarmedUp(Entry $felt): bool
    {
        return $felt->form === self::FORM && $felt->text('needle') !== 'low';
    }
}
