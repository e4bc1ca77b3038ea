<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Circuit\Port;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Grave;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/**
 * A vent bolt cracked on a warm circuit, the engine off: where the
 * vehicle’s manual has it done so, and no hotter than it may be.
 */
final readonly class VentedWarm extends Report implements Grave
{
    public const FORM = 'vented_warm';

    /** Hotter, what comes is more steam than air, and scalds (common practice, no source). */
    public const MOST_C = 75.0;

    private const LEAST_C = 30.0;

    private const POINT = 'point';

    private const MANUAL = 'manual';

    private const CELSIUS = 'ect';

    private const CAME = 'came';

    private const CAUGHT = 'caught';

    private const MOST_ML = 2_000.0;

    private const COOLANT = 'coolant';

    private const AIR = 'air';

    private function __construct(
        Told $told,
        public string $point,
        public float $celsius,
        public bool $wasAir,
        public float $caughtMl,
    ) {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form !== self::FORM ? null : new self(
            Told::by($line),
            $line->text(self::POINT),
            (float) $line->number(self::CELSIUS),
            $line->text(self::CAME) === self::AIR,
            $line->number(self::CAUGHT) ?? 0.0,
        );
    }

    public function gravity(): int
    {
        return $this->wasAir ? 1 : 0;
    }

    /** @param  non-empty-list<Port>  $points */
    public static function asked(array $points): Form
    {
        $named = array_combine(
            array_map(fn (Port $port) => $port->id, $points),
            array_map(fn (Port $port) => $port->label, $points),
        );

        return new Form(
            self::FORM,
            'Vent it warm, as the manual has it',
            [
                Field::choice(self::POINT, 'At', $named, $points[0]->id),
                Field::temperature(self::CELSIUS, 'Coolant now', true, self::LEAST_C, self::MOST_C),
                Field::check(
                    self::MANUAL,
                    'The vehicle’s manual has it cracked warm. Engine off, glasses and gloves on, '
                        .'rag over the bolt, face away',
                ),
                Field::choice(self::CAME, 'It ran', [
                    self::COOLANT => 'Nothing but coolant',
                    self::AIR => 'Air, then coolant',
                ]),
                Field::volume(self::CAUGHT, 'Caught', self::MOST_ML, false),
            ],
            false,
            sprintf(
                'A turn at most, until coolant comes, then shut. Not above %d °C (%d °F), and the cap stays where it is.',
                self::MOST_C,
                round(1.8 * self::MOST_C + 32.0),
            ),
        );
    }

    /** @throws InvalidField where nobody says that it may be done */
    public static function admit(Values $values): void
    {
        if (! $values->ticked(self::MANUAL)) {
            throw new InvalidField(
                self::MANUAL,
                'Only where the vehicle’s manual says so, and dressed for it. Otherwise let it cool, '
                    .'and crack it cold.',
            );
        }
    }
}
