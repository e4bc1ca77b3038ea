<?php

declare(strict_types=1);

namespace Aqbel\Core\Visits;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Observed\Alarm;
use Aqbel\Core\Plan\Vessels;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Filled;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/** What is asked at a visit: three presses where all is well, and whatever else somebody has to say. */
final class VisitForm
{
    private const MM_PER_KM = 1.0e6;

    private const MOST_KM = 5.0e6;

    private const MOST_HOURS = 200_000.0;

    private const SECONDS_PER_HOUR = 3600.0;

    /** A day takes no more than this share of the capacity: then it is a job, and no visit. */
    private const MOST_SHARE = 0.5;

    /** A level is read on a cold engine; warmer than this it says nothing, °C (common practice, no source). */
    private const WARMEST_C = 50.0;

    public static function of(Circuit $circuit, Vessels $vessels): Form
    {
        $levels = array_combine(
            array_map(fn (LevelFound $level) => $level->value, LevelFound::cases()),
            array_map(fn (LevelFound $level) => $level->label(), LevelFound::cases()),
        );

        return new Form('visit', 'Sign this visit', [
            Field::choice(Visit::LEVEL, 'Cold level as found', $levels),
            Field::volume(Visit::VOLUME, 'Topped up to the mark', self::MOST_SHARE * $circuit->capacityMl(), false),
            Field::choice(Visit::VESSEL, 'Read in', $vessels->choices(), $vessels->for(VesselUse::Measure)->id),
            Field::temperature(Visit::CELSIUS, 'How warm it was', false, -40.0, 120.0),
            Field::choice(
                Visit::COMPLAINT,
                'The complaint',
                ['open' => 'not looked at', Visit::GONE => 'has not come back', Visit::AGAIN => 'is there again'],
                'open',
            )->optional(),
            Field::choice(Visit::ALARM, 'Alarm since', Alarm::choices(), Alarm::None->value)->optional(),
            Field::temperature(Visit::FREEZE, 'Freeze point read', false, -80.0, 5.0),
            Field::length(Visit::ODOMETER, 'Odometer', 0.0, self::MOST_KM * self::MM_PER_KM, false)->in(Unit::Kilometre),
            Field::duration(
                Visit::HOURS,
                'Running hours',
                Unit::Hour,
                self::MOST_HOURS * self::SECONDS_PER_HOUR,
                false,
            ),
            Field::check(Visit::TOLD, 'Told by the customer, not seen here'),
            Field::text(Visit::NOTE, 'What else'),
        ]);
    }

    /**
     * @param  array<mixed>  $raw  as typed
     *
     * @throws InvalidField|InvalidFields where what was said cannot be, or says nothing
     */
    public static function read(Circuit $circuit, Vessels $vessels, array $raw, UnitSystem $units): Filled
    {
        $filled = self::of($circuit, $vessels)->read($raw, $units, self::tellsDanger(...));
        if (! self::tellsDanger($filled->values)) {
            self::admit($filled->values);
        }

        return $filled;
    }

    /** @throws InvalidField */
    private static function admit(Values $values): void
    {
        $level = LevelFound::tryFrom($values->text(Visit::LEVEL));
        $ml = $values->number(Visit::VOLUME);
        $celsius = $values->number(Visit::CELSIUS);
        if ($celsius !== null && $celsius > self::WARMEST_C) {
            throw new InvalidField(
                Visit::CELSIUS,
                'A warm level says nothing, and its neck stays shut. '
                    .'Come back when it has cooled below 50 °C (122 °F).',
            );
        }
        if ($ml !== null && $ml > 0.0 && ($level === LevelFound::AtMark || $level === LevelFound::Above)) {
            throw new InvalidField(
                Visit::VOLUME,
                'It stood at its mark and took something: choose “Below it”, or leave this empty.',
            );
        }
        if ($ml !== null && $level === LevelFound::NotLooked) {
            throw new InvalidField(Visit::LEVEL, 'It was topped up, so somebody looked: choose how it stood before.');
        }
        if ($level === LevelFound::NotLooked && ! self::saysElse($values)) {
            throw new InvalidField(Visit::LEVEL, 'Say how it stood, or what else there is to write down.');
        }
        if ($ml === null && $level === LevelFound::Below) {
            throw new InvalidField(Visit::VOLUME, 'Enter what it took to the mark; 0 where it was left as it stood.');
        }
    }

    /** Whether it is believed before anything beside it is asked: it alarmed, or nothing was to be seen. */
    private static function tellsDanger(Values $values): bool
    {
        return $values->text(Visit::LEVEL) === LevelFound::NotSeen->value
            || in_array($values->text(Visit::ALARM), [Alarm::Hot->value, Alarm::Other->value], true);
    }

    private static function saysElse(Values $values): bool
    {
        $told = array_filter(
            [Visit::FREEZE, Visit::ODOMETER, Visit::HOURS],
            fn (string $field) => $values->number($field) !== null,
        );

        return $told !== []
            || $values->text(Visit::NOTE) !== ''
            || in_array($values->text(Visit::COMPLAINT), [Visit::AGAIN, Visit::GONE], true)
            || $values->text(Visit::ALARM) === Alarm::Level->value;
    }
}
