<?php

declare(strict_types=1);

namespace Aqbel\Core\Visits;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Plan\Vessels;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Field;
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

    /** @throws InvalidField where what was said cannot be, or says nothing */
    public static function admit(Values $values): void
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
        if ($ml === null && ($level === LevelFound::Below || $level === LevelFound::NotSeen)) {
            throw new InvalidField(Visit::VOLUME, 'Enter what it took to the mark; 0 where it was left as it stood.');
        }
    }
}
