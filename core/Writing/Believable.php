<?php

declare(strict_types=1);

namespace Aqbel\Core\Writing;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\HeaterAir;
use Aqbel\Core\Judged\NeckAtRun;
use Aqbel\Core\Judged\Rise;
use Aqbel\Core\Judged\RunDanger;
use Aqbel\Core\Judged\StopLimitAtNeck;
use Aqbel\Core\Observed\CoolantRead;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Observed\OutsideAir;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Filled;

/** Coolant temperatures that cannot be, asked again instead of believed: a wrong green here scalds somebody. */
final class Believable
{
    /** What a scan tool shows without a sensor: −40 °C (SAE J1979: A − 40 with A = 0, from memory). */
    private const NO_SENSOR_C = -39.5;

    /** A standing engine changes no faster, °C a minute (common practice, no source). */
    private const STANDING_C_PER_MIN = 3.0;

    /** Nothing gets colder than the air around it, sensors apart, °C (common practice, no source). */
    private const BELOW_AIR_C = 3.0;

    private const FREEZING_C = 0.0;

    /** As fast as a running engine cools, °C a minute (common practice, no source). */
    private const RUNNING_FALLS_C_PER_MIN = 8.0;

    /** And at once, when its thermostat opens on a cold radiator, or a jug of cold coolant goes in, °C (the same). */
    private const DIPS_C = 10.0;

    /** What was read before an engine ran says so long how cold it was, s. */
    private const STILL_HOLDS_S = 12 * 3600;

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
    public static function check(
        Situation $at,
        array $fields,
        Filled $filled,
        bool $running,
        ?Entry $replaces = null,
    ): void {
        self::assertSensors($at, $fields, $filled);
        $reading = HotReading::of(new Entry(0, 0, '', '', HotReading::form(), $filled->values));
        // A sensor that has come to stand in air falls at once, though not below what is around it.
        $inAir = $reading?->farC !== null && RunDanger::sensorInAir($reading->coolantC, $reading->farC);
        $typed = OutsideAir::of(new Entry(0, 0, '', '', '', $filled->values))?->celsius;
        $air = $typed ?? self::air($at);
        $asked = OutsideAir::askedIn(...$fields);
        foreach ($fields as $field) {
            $celsius = $field->coolant && $field->name === CoolantRead::COOLANT
                ? $filled->values->number($field->name)
                : null;
            if ($celsius === null) {
                continue;
            }
            if ($running && $air === null) {
                self::assertNotColderThanBefore($at, $field, $celsius, $replaces);
            }
            self::assertUnit($at, $field, $celsius, $air, in_array($field->name, $filled->bare, true));
            self::assertNotColderThanAir($at, $field, $celsius, $air);
            if ($air === null && $asked !== null) {
                self::assertAirWhereItTells($at, $asked, $celsius);
            }
            if (! $inAir) {
                self::assertNotTooFast($at, $field, $celsius, $running, $replaces);
            }
        }
        if ($inAir) {
            return;
        }
        self::assertNotSwapped($at, $filled);
        self::assertNoHotterThanItsCoolant($at, $filled);
    }

    /** @param  list<Field>  $fields */
    private static function assertSensors(Situation $at, array $fields, Filled $filled): void
    {
        foreach ($fields as $field) {
            $celsius = $field->coolant ? $filled->values->number($field->name) : null;
            if ($celsius !== null && $celsius <= self::NO_SENSOR_C) {
                throw new InvalidField($field->name, "{$at->degrees($celsius)} is what a scan tool shows "
                    .'without a sensor.'
                    .' Read it another way: a probe on the hose at the engine, or a thermometer at the housing.');
            }
        }
    }

    /**
     * Heat comes from the engine; a far side that is dangerously hot beside a cold reading is believed, and ends the
     * run.
     */
    private static function assertNotSwapped(Situation $at, Filled $filled): void
    {
        [$ect, $far] = [$filled->values->number(CoolantRead::COOLANT), $filled->values->number(HotReading::FAR)];
        if ($ect === null || $far === null || $far - $ect <= Rise::PLACES_C) {
            return;
        }
        throw new InvalidField(HotReading::FAR, "{$at->degrees($far)} at the far side and {$at->degrees($ect)} at the "
            .'engine: are the two swapped? Read both again. If they stay so, the sensor sits in air: shut off.');
    }

    /** Outlet air hotter than what warms it: the fields were swapped. */
    private static function assertNoHotterThanItsCoolant(Situation $at, Filled $filled): void
    {
        $coolant = $filled->values->number(CoolantRead::COOLANT);
        if ($coolant === null) {
            return;
        }
        foreach ($at->facts()->outlets as $outlet) {
            $air = $filled->values->number(HotReading::outletKey($outlet));
            if ($air !== null && ! HeaterAir::canBe($air, $coolant)) {
                throw new InvalidField(
                    HotReading::outletKey($outlet),
                    "{$at->degrees($air)} at the outlet and {$at->degrees($coolant)} in the "
                        .'coolant that warms it: are the two swapped? Read both again.',
                );
            }
        }
    }

    /** The last coolant temperature before this moment, at any step; null when there is none. */
    private static function before(Situation $at, int $now, ?Entry $replaces): ?CoolantRead
    {
        $last = null;
        foreach ($at->job->observedAnywhere(CoolantRead::class) as $read) {
            $last = $read->at() <= $now && $read->told()->seq !== $replaces?->seq ? $read : $last;
        }

        return $last;
    }

    private static function air(Situation $at): ?float
    {
        return $at->latest(OutsideAir::class)?->celsius;
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

    /** A running engine only gets warmer: nothing in it is colder than it was, and the air around it. */
    private static function assertNotColderThanBefore(
        Situation $at,
        Field $field,
        float $celsius,
        ?Entry $replaces,
    ): void {
        $now = $replaces->at ?? $at->now;
        $holds = fn (CoolantRead|OutsideAir $read): bool => $read->at() <= $now
            && $now - $read->at() <= self::STILL_HOLDS_S
            && $read->told()->seq !== $replaces?->seq;
        $air = array_filter($at->job->observedAnywhere(OutsideAir::class), $holds);
        $read = array_filter($at->job->observedAnywhere(CoolantRead::class), $holds);
        $coldest = $air === []
            ? null
            : min(array_map(fn (CoolantRead|OutsideAir $it) => $it->celsius, [...$air, ...$read]));
        if ($coldest !== null && $celsius < $coldest - self::BELOW_AIR_C) {
            throw new InvalidField($field->name, "{$at->degrees($celsius)} is colder than anything read so far, "
                ."{$at->degrees($coldest)}; no engine gets there by running. Read it again; where it was moved out "
                .'into the cold, put the air there into its start.');
        }
    }

    /** After a night the air may stay unsaid, but not where the reading is one that only the air explains. */
    private static function assertAirWhereItTells(Situation $at, string $asked, float $celsius): void
    {
        $known = $at->job->observedAnywhere(OutsideAir::class);
        $last = $known === [] ? self::FREEZING_C : $known[count($known) - 1]->celsius - self::BELOW_AIR_C;
        if ($celsius < $last) {
            throw new InvalidField(
                $asked,
                "{$at->degrees($celsius)} is colder than the air is known to be. "
                    .'Read it again, or enter the air beside it.',
            );
        }
    }

    private static function assertNotTooFast(
        Situation $at,
        Field $field,
        float $celsius,
        bool $running,
        ?Entry $replaces,
    ): void {
        $now = $replaces->at ?? $at->now;
        $last = self::before($at, $now, $replaces);
        if ($last === null) {
            return;
        }
        $minutes = ($now - $last->at()) / 60.0;
        $rise = Rise::PLACES_C + ($running ? Rise::RUNNING_C_PER_MIN : self::STANDING_C_PER_MIN) * $minutes;
        $fall = Rise::PLACES_C + ($running
            ? self::DIPS_C + self::RUNNING_FALLS_C_PER_MIN * $minutes
            : self::STANDING_C_PER_MIN * $minutes);
        $was = $last->celsius;
        // A rise is believed first where it is past the limit, and judged by the run where an engine runs.
        $past = $celsius >= StopLimitAtNeck::of($at, NeckAtRun::orLikely($at))->limit->degC();
        if ($was - $celsius > $fall || ($celsius - $was > $rise && ! $running && ! $past)) {
            $ago = $minutes < 1.5 ? 'a minute ago' : round($minutes).' min ago';
            throw new InvalidField($field->name, "It was {$at->degrees($was)} {$ago}, and nothing gets to"
                ." {$at->degrees($celsius)} that fast. Read it again; if the earlier one was the slip, correct that "
                .'first.');
        }
    }
}
