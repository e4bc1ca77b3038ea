<?php

declare(strict_types=1);

namespace Aqbel\Core\Saying;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Rough;
use Aqbel\Core\Quantity\Typed;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;

/** One thing to enter: its kind, limits in the core's unit, and how it is asked for. */
final readonly class Field
{
    /**
     * @param  array<int|string, string>  $choices  label by code
     * @param  bool  $coolant  how warm the coolant is: asked again when it cannot be
     * @param  bool  $usual  may stay empty, and usually does not
     * @param  bool  $answers  proves or waives something: nothing stands there before it is pressed
     * @param  bool  $inSight  a choice that does not fold away behind what it usually is
     * @param  ?string  $goesOnWith  the one choice that puts no other step in front of the next; null where none does
     * @param  bool  $mayBeRough  “about” so much, or a weight, is kept with what it is worth
     * @param  ?string  $default  a number in the core's unit, a code or a text
     */
    private function __construct(
        public string $name,
        public string $label,
        public FieldType $type,
        public bool $required = true,
        public ?Dimension $dimension = null,
        public ?Unit $unit = null,
        public float $least = 0.0,
        public float $most = 0.0,
        public array $choices = [],
        public ?string $default = null,
        public string $help = '',
        public bool $coolant = false,
        public bool $usual = false,
        public bool $answers = false,
        public bool $inSight = false,
        public ?string $goesOnWith = null,
        public bool $mayBeRough = false,
    ) {
    }

    public static function volume(
        string $name,
        string $label,
        float $mostMl = 200_000.0,
        bool $required = true,
        string $help = '',
    ): self {
        return self::quantity($name, $label, Dimension::Volume, null, 0.0, $mostMl, $required, $help);
    }

    public static function temperature(
        string $name,
        string $label,
        bool $required = true,
        float $leastC = -40.0,
        float $mostC = 180.0,
        string $help = '',
    ): self {
        return self::quantity($name, $label, Dimension::Temperature, null, $leastC, $mostC, $required, $help);
    }

    /** How warm the coolant is, somewhere in the circuit. */
    public static function coolant(string $name, string $label): self
    {
        return new self(
            $name,
            $label,
            FieldType::Quantity,
            dimension: Dimension::Temperature,
            least: -40.0,
            most: 180.0,
            coolant: true,
        );
    }

    public static function vacuum(string $name, string $label, float $mostKpa = 101.0, string $help = ''): self
    {
        return self::quantity($name, $label, Dimension::Pressure, Unit::InchOfMercury, 0.0, $mostKpa, help: $help);
    }

    public static function pressure(
        string $name,
        string $label,
        float $mostKpa,
        bool $required = true,
        string $help = '',
    ): self {
        return self::quantity($name, $label, Dimension::Pressure, null, 0.0, $mostKpa, $required, $help);
    }

    public static function torque(string $name, string $label, ?float $defaultNm = null): self
    {
        $field = self::quantity($name, $label, Dimension::Torque, null, 0.1, 500.0);

        return $defaultNm === null ? $field : $field->preset($defaultNm);
    }

    public static function length(
        string $name,
        string $label,
        float $leastMm,
        float $mostMm,
        bool $required = true,
        string $help = '',
    ): self {
        return self::quantity($name, $label, Dimension::Length, null, $leastMm, $mostMm, $required, $help);
    }

    public static function duration(
        string $name,
        string $label,
        Unit $unit,
        float $mostSeconds,
        bool $required = true,
        string $help = '',
    ): self {
        return self::quantity($name, $label, Dimension::Time, $unit, 0.0, $mostSeconds, $required, $help);
    }

    public static function fraction(string $name, string $label, float $least = 0.0, float $most = 1.0): self
    {
        return self::quantity($name, $label, Dimension::Fraction, null, $least, $most);
    }

    /** A plain number, such as a price. */
    public static function number(string $name, string $label, float $least, float $most): self
    {
        return self::quantity($name, $label, Dimension::Fraction, Unit::Share, $least, $most);
    }

    /** @param  array<int|string, string>  $choices */
    public static function choice(
        string $name,
        string $label,
        array $choices,
        ?string $default = null,
        string $help = '',
    ): self {
        return new self($name, $label, FieldType::Choice, choices: $choices, default: $default, help: $help);
    }

    /**
     * A choice that proves or waives something: every answer is a press of its own, and none is proposed.
     *
     * @param  array<int|string, string>  $choices
     */
    public static function answer(string $name, string $label, array $choices): self
    {
        return new self($name, $label, FieldType::Choice, choices: $choices, answers: true);
    }

    public static function check(string $name, string $label, bool $required = false, string $help = ''): self
    {
        return new self($name, $label, FieldType::Check, $required, help: $help);
    }

    /** Something that is so or is not: unlike a thing to do it is never ticked along with others. */
    public static function fact(string $name, string $label): self
    {
        return self::check($name, $label)->usuallySaid();
    }

    /** Whether it is ticked when all of a sheet was done. */
    public function isToDo(): bool
    {
        return $this->type === FieldType::Check && ! $this->usual;
    }

    public static function text(string $name, string $label, bool $required = false, string $help = ''): self
    {
        return new self($name, $label, FieldType::Text, $required, most: 500.0, help: $help);
    }

    /** The same field with a value, in the core's unit, to begin with. */
    public function preset(float $base): self
    {
        return $this->but($this->required, $this->unit, (string) $base);
    }

    /** The same field with a text to begin with. */
    public function begin(string $text): self
    {
        return $this->but($this->required, $this->unit, $text);
    }

    /** The same field, which may stay empty; a choice is taken as its default where nothing is said. */
    public function optional(): self
    {
        return $this->but(false, $this->unit, $this->default);
    }

    /** The same field, which may stay empty and usually does not. */
    public function usuallySaid(): self
    {
        return $this->but(false, $this->unit, $this->default, true);
    }

    /** The same amount, which may be told roughly or weighed: whoever reads it keeps what that is worth. */
    public function roughly(): self
    {
        return $this->but($this->required, $this->unit, $this->default, mayBeRough: true);
    }

    /** The same choice, always in sight: it often is another than the one that stands there. */
    public function inSight(): self
    {
        return $this->but($this->required, $this->unit, $this->default, inSight: true);
    }

    /** The same choice, of which all but this one bring steps of their own. */
    public function goesOnWith(string $choice): self
    {
        return $this->but($this->required, $this->unit, $this->default, goesOnWith: $choice);
    }

    /** The same field asked for in one unit, whatever the person's own. */
    public function in(Unit $unit): self
    {
        return $this->but($this->required, $unit, $this->default);
    }

    private static function quantity(
        string $name,
        string $label,
        Dimension $dimension,
        ?Unit $unit,
        float $least,
        float $most,
        bool $required = true,
        string $help = '',
    ): self {
        return new self($name, $label, FieldType::Quantity, $required, $dimension, $unit, $least, $most, help: $help);
    }

    private function but(
        bool $required,
        ?Unit $unit,
        ?string $default,
        bool $usual = false,
        bool $inSight = false,
        ?string $goesOnWith = null,
        bool $mayBeRough = false,
    ): self {
        return new self(
            $this->name,
            $this->label,
            $this->type,
            $required,
            $this->dimension,
            $unit,
            $this->least,
            $this->most,
            $this->choices,
            $default,
            $this->help,
            $this->coolant,
            $usual || $this->usual,
            $this->answers,
            $inSight || $this->inSight,
            $goesOnWith ?? $this->goesOnWith,
            $mayBeRough || $this->mayBeRough,
        );
    }

    /** The unit meant when only a number is typed; a way on the road, and how high a place lies, in the reader's. */
    public function assumedUnit(UnitSystem $units): Unit
    {
        return match ($this->unit) {
            Unit::Kilometre => $units->road(),
            Unit::Metre => $units->height(),
            default => $this->unit ?? $units->unit($this->dimension ?? Dimension::Fraction),
        };
    }

    /** The default as it stands in the input, in the person's unit. */
    public function defaultText(UnitSystem $units): string
    {
        return $this->default !== null && $this->type === FieldType::Quantity
            ? $units->format((float) $this->default, $this->assumedUnit($units), false)
            : (string) $this->default;
    }

    /**
     * A value in words; null when there is nothing to say.
     *
     * @param  float|int|string|bool|list<string>|null  $value
     */
    public function say(float|int|string|bool|array|null $value, ?string $typed): ?string
    {
        return match (true) {
            ! is_scalar($value) || $value === false => null,
            $value === '' && ! isset($this->choices['']) => null,
            $this->type === FieldType::Check => $this->label,
            $this->type === FieldType::Choice => $this->label.' '.self::lowerFirst(
                $this->choices[(string) $value] ?? (string) $value,
            ),
            $this->type === FieldType::Text => "{$this->label}: {$value}",
            default => "{$this->label} ".($typed ?? $value),
        };
    }

    /**
     * @return array{float|string|bool|null, ?string} the value in the core's unit, and what was typed
     *
     * @throws InvalidField
     */
    public function read(mixed $raw, UnitSystem $units): array
    {
        if ($this->type === FieldType::Check) {
            $ticked = in_array($raw, ['1', 1, true, 'on'], true);

            return $ticked || ! $this->required
                ? [$ticked, null]
                : throw $this->invalid("Tick “{$this->label}” once it is true.");
        }
        if ($raw === null && $this->type === FieldType::Choice && ! $this->required) {
            return [$this->default, null];
        }
        if ($raw !== null && ! is_scalar($raw)) {
            throw $this->invalid('Enter one value.');
        }
        $text = trim((string) $raw);
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw $this->invalid('This text cannot be read. Type it again.');
        }
        if ($text === '') {
            return $this->required
                ? throw $this->invalid($this->type === FieldType::Choice ? 'Choose one.' : 'Enter a value.')
                : [null, null];
        }

        return match ($this->type) {
            FieldType::Choice => isset($this->choices[$text])
                ? [$text, null]
                : throw $this->invalid('Choose one of the values shown.'),
            FieldType::Text => mb_strlen($text) <= (int) $this->most
                ? [$text, null]
                : throw $this->invalid('Keep it to '.(int) $this->most.' characters.'),
            default => $this->readQuantity($text, $units),
        };
    }

    /** @return array{float, string} */
    private function readQuantity(string $text, UnitSystem $units): array
    {
        $unit = $this->assumedUnit($units);
        try {
            $typed = Typed::parse(mb_substr($this->unit === Unit::Metre ? self::ungrouped($text) : $text, 0, 40), $unit);
        } catch (\InvalidArgumentException $problem) {
            throw $this->invalid($problem->getMessage());
        }
        if (! $this->mayBeRough && Rough::isTold($text)) {
            throw $this->invalid(
                'A mixture or a shelf is reckoned with this: enter what was read, for example '
                    .$unit->example()
                    .'.',
            );
        }
        if ($typed->base < $this->least - 1.0e-9 || $typed->base > $this->most + 1.0e-9) {
            throw $this->invalid(
                "{$typed->text} cannot be right here. Enter between {$units->format($this->least, $unit)} and "
                    ."{$units->format($this->most, $unit)}.",
            );
        }

        return [$typed->base, $typed->text];
    }

    /** “1,420 m” is no metre and a half: nobody tells to the millimetre how high a place lies. */
    private static function ungrouped(string $text): string
    {
        return (string) preg_replace('/(?<=\d)[.,](?=\d{3}(?:\D|$))/u', '', $text);
    }

    private static function lowerFirst(string $text): string
    {
        return mb_strtolower(mb_substr($text, 0, 1)).mb_substr($text, 1);
    }

    private function invalid(string $remedy): InvalidField
    {
        return new InvalidField($this->name, $remedy);
    }
}
