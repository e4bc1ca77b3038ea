<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Findings;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Filled;
use Aqbel\Core\Steps\RunHot\Danger;

/** Coolant temperatures that cannot be, asked again instead of believed: a wrong green here scalds somebody. */
final class Believable
{
    /** Forms that say how warm the coolant is at that moment; the hottest of a drive is of another. */
    private const READ_NOW = ['reading', 'opened'];

    /** What a scan tool shows without a sensor: −40 °C (SAE J1979: A − 40 with A = 0, from memory). */
    private const NO_SENSOR_C = -39.5;

    /** A standing engine changes no faster, °C a minute (common practice, no source). */
    private const STANDING_C_PER_MIN = 3.0;

    /** A running one no faster, thermostat opening and all, °C a minute (common practice, no source). */
    private const RUNNING_C_PER_MIN = 15.0;

    /** Two sensors, two places: so far apart they may be, °C (common practice, no source). */
    private const PLACES_C = 8.0;

    /** Nothing gets colder than the air around it, sensors apart, °C (common practice, no source). */
    private const BELOW_AIR_C = 3.0;

    /** As °F these open a neck, as °C they scald: the unit is asked for. */
    private const EITHER_FROM = 80.0;

    private const EITHER_TO = 125.0;

    /** So near the air it is a cold engine, whatever the unit looks like, °C. */
    private const NEAR_AIR_C = 8.0;

    /**
     * @param  list<Field>  $fields  of the form that was filled in
     * @param  ?Entry  $replaces  the line that is being corrected: the time that counts is its own
     *
     * @throws InvalidField on the first that cannot be
     */
    public static function check(Situation $at, array $fields, Filled $filled, bool $running, ?Entry $replaces = null): void
    {
        $air = $filled->values->number('air') ?? self::air($at);
        foreach ($fields as $field) {
            $celsius = $field->coolant ? $filled->values->number($field->name) : null;
            if ($celsius === null) {
                continue;
            }
            if ($celsius <= self::NO_SENSOR_C) {
                throw new InvalidField($field->name, "{$at->degrees($celsius)} is what a scan tool shows "
                    .'without a sensor.'
                    .' Read it another way: a probe on the hose at the engine, or a thermometer at the housing.');
            }
            if ($field->name === 'ect') {
                self::assertUnit($at, $field, $celsius, $air, in_array($field->name, $filled->bare, true));
                self::assertNotColderThanAir($at, $field, $celsius, $air);
                self::assertNotTooFast($at, $field, $celsius, $running, $replaces);
            }
        }
        self::assertNotSwapped($at, $filled);
    }

    /**
     * Heat comes from the engine; a far side that is dangerously hot beside a cold reading is believed, and ends the
     * run.
     */
    private static function assertNotSwapped(Situation $at, Filled $filled): void
    {
        [$ect, $far] = [$filled->values->number('ect'), $filled->values->number('far')];
        if ($ect === null || $far === null || $far - $ect <= self::PLACES_C || Danger::sensorInAir($ect, $far)
            || ! in_array($filled->values->text('sign'), ['', 'none'], true)) {
            return;
        }
        throw new InvalidField('far', "{$at->degrees($far)} at the far side and {$at->degrees($ect)} at the "
            .'engine: are the two swapped? Read both again. If they stay so, the sensor sits in air: shut off.');
    }

    /** The last coolant temperature before this moment, at any step; null when there is none. */
    private static function before(Situation $at, int $now, ?Entry $replaces): ?Entry
    {
        $last = null;
        foreach ($at->job->entries as $entry) {
            $read = in_array($entry->form, self::READ_NOW, true) && $entry->number('ect') !== null
                && $entry->at <= $now && $entry->seq !== $replaces?->seq;
            $last = $read && ($last === null || $entry->at >= $last->at) ? $entry : $last;
        }

        return $last;
    }

    private static function air(Situation $at): ?float
    {
        $air = null;
        foreach ($at->entries() as $entry) {
            $air = $entry->number('air') ?? $air;
        }

        return $air;
    }

    private static function assertUnit(Situation $at, Field $field, float $celsius, ?float $air, bool $bare): void
    {
        $number = $celsius * 1.8 + 32.0;
        $either = $bare && $at->units === UnitSystem::UsCustomary
            && $number >= self::EITHER_FROM && $number <= self::EITHER_TO;
        if ($either && ($air === null || $celsius - $air > self::NEAR_AIR_C)) {
            $typed = (string) (int) round($number);
            throw new InvalidField($field->name, "Is that {$typed} °F or {$typed} °C? Type it with its unit.");
        }
    }

    private static function assertNotColderThanAir(Situation $at, Field $field, float $celsius, ?float $air): void
    {
        if ($air !== null && $celsius < $air - self::BELOW_AIR_C) {
            throw new InvalidField($field->name, "{$at->degrees($celsius)} is colder than the air at "
                ."{$at->degrees($air)};"
                .' no engine gets there by standing. Read both again.');
        }
    }

    private static function assertNotTooFast(Situation $at, Field $field, float $celsius, bool $running, ?Entry $replaces): void
    {
        $now = $replaces->at ?? $at->now;
        $last = self::before($at, $now, $replaces);
        if ($last === null) {
            return;
        }
        $minutes = ($now - $last->at) / 60.0;
        $rate = $running ? self::RUNNING_C_PER_MIN : self::STANDING_C_PER_MIN;
        $was = (float) $last->number('ect');
        if (abs($celsius - $was) > self::PLACES_C + $rate * $minutes) {
            $ago = $minutes < 1.5 ? 'a minute ago' : round($minutes).' min ago';
            throw new InvalidField($field->name, "It was {$at->degrees($was)} {$ago}, and nothing gets to"
                ." {$at->degrees($celsius)} that fast. Read it again; if the earlier one was the slip, correct that "
                .'first.');
        }
    }
}
