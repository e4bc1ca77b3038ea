<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Circuit\Part;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/** Coolant that came out another way than through a drain point: a hose, a part blown out, the bottle, a spill. */
final readonly class CameOut extends Report
{
    /** At the steps that drain; anywhere else it is a line of its own kind. */
    public const FORM = 'elsewhere';

    private const WAY = 'way';

    private const PART = 'part';

    private const SPILL = 'spill';

    /** What it holds was never part of the circuit’s content. */
    private const BOTTLE = 'bottle';

    /** A guess is good to half of it (common practice, no source). */
    private const GUESS_UNSURE = 0.5;

    /** Whatever of it was caught, nothing stays in it. */
    private const TAKEN_OFF = 'taken_off';

    /** Nobody measured it. */
    private const ESTIMATED = 'estimated';

    private const GUESSES = [self::SPILL, self::ESTIMATED];

    private const HOSE = 'hose';

    private const BLOWN = 'blown';

    private const WAYS = [
        self::HOSE => 'A hose taken off', self::BLOWN => 'Blown out, low pressure',
        self::TAKEN_OFF => 'Taken off, emptied and cleaned', self::BOTTLE => 'Recovery bottle, siphoned',
        'sample' => 'A sample', self::SPILL => 'On the floor, estimated', self::ESTIMATED => 'Another way, estimated',
    ];

    /** @param  ?string  $part  it came out of, by id; null where that is not known */
    private function __construct(Told $told, public VesselReading $read, public string $way, public ?string $part)
    {
        parent::__construct($told);
    }

    public static function forms(): array
    {
        return [self::FORM, Lines::Outlet->value];
    }

    public static function of(Entry $line): ?static
    {
        $read = self::tells($line) ? VesselReading::of($line) : null;
        $part = $line->text(self::PART);

        return $read === null
            ? null
            : new self(Told::by($line), $read, $line->text(self::WAY), $part === '' ? null : $part);
    }

    private static function tells(Entry $line): bool
    {
        return $line->form === self::FORM || $line->is(Lines::Outlet);
    }

    public static function asked(Situation $at, string $name = self::FORM): Form
    {
        $parts = $at->circuit()->parts();
        $labels = array_combine(
            array_map(fn (Part $part) => $part->id, $parts),
            array_map(fn (Part $part) => $part->label, $parts),
        );

        [$volume, $vessel] = VesselReading::fields($at, 'Came out', VesselUse::Drain);

        return new Form(
            $name,
            'Came out another way',
            [
                Field::choice(self::WAY, 'Which way', self::WAYS),
                $volume,
                $vessel->optional(),
                Field::choice(self::PART, 'Out of', ['' => 'Not known'] + $labels, '')->optional(),
            ],
            false,
            $at->circuit()->hasHeater()
                ? 'Compressed air into a heater core: low pressure only, it bursts where a radiator holds. '
                    .'Glasses on, the hose held.'
                : '',
        );
    }

    /** What the circuit lost of its content, mL. */
    public function ml(): float
    {
        return $this->way === self::BOTTLE ? 0.0 : $this->read->ml;
    }

    /** Whether the part is empty then, whatever of it was caught. */
    public function emptiesIt(): bool
    {
        return in_array($this->way, [self::BLOWN, self::TAKEN_OFF], true);
    }

    /** Whether something came off for it, and has to be put back. */
    public function opensAJoint(): bool
    {
        return in_array($this->way, [self::HOSE, self::BLOWN, self::TAKEN_OFF], true);
    }

    /** Whether nobody can put it into a drum. */
    public function isLost(): bool
    {
        return $this->way === self::SPILL;
    }

    /** By the vessel alone, mL: a guess opens no gate wider. */
    public function plusMinusMl(Situation $at): float
    {
        return $this->read->plusMinusMl($at);
    }

    /** Within which it lies where it was guessed, or told roughly, mL; 0 where it was read off. */
    public function roughMl(): float
    {
        $guessed = in_array($this->way, self::GUESSES, true) ? self::GUESS_UNSURE * $this->read->ml : 0.0;

        return max($guessed, $this->read->roughMl);
    }

    /** The wider of the two, mL. */
    public function toldWithinMl(Situation $at): float
    {
        return max($this->plusMinusMl($at), $this->roughMl());
    }

    /** What was guessed was read in no vessel, whatever stood there. */
    public static function asTold(Values $values): Values
    {
        return in_array($values->text(self::WAY), self::GUESSES, true)
            ? $values->with(VesselReading::VESSEL, '')
            : $values;
    }

    public function label(): string
    {
        return self::WAYS[$this->way] ?? $this->way;
    }
}
