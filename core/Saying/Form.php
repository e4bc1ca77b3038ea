<?php

declare(strict_types=1);

namespace Aqbel\Core\Saying;

use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Values;

/** Something the technician can put into the journal at a step: a button, and the fields it needs. */
final readonly class Form
{
    /** @var list<Field> */
    public array $fields;

    /**
     * @param  array<?Field>  $fields  null where this vehicle has nothing to ask
     * @param  bool  $closes  the step is done with it, where nothing else is missing
     */
    public function __construct(
        public string $name,
        public string $button,
        array $fields = [],
        public bool $main = true,
        public string $note = '',
        public bool $closes = false,
    ) {
        $this->fields = array_values(array_filter($fields));
    }

    /** The same form, waiting folded away. */
    public function aside(bool $aside = true): self
    {
        return new self($this->name, $this->button, $this->fields, ! $aside, $this->note, $this->closes);
    }

    /** The same form, the last that is pressed at its step. */
    public function closing(): self
    {
        return new self($this->name, $this->button, $this->fields, $this->main, $this->note, true);
    }

    /** @return list<string> names of those that ask how warm the coolant is */
    public function coolantFields(): array
    {
        $fields = array_filter($this->fields, fn (Field $field) => $field->coolant);

        return array_values(array_map(fn (Field $field) => $field->name, $fields));
    }

    /**
     * @param  array<mixed>  $raw  as typed
     *
     * @throws InvalidFields with every field that cannot be used
     */
    public function read(array $raw, UnitSystem $units): Filled
    {
        [$values, $typed, $bare, $problems] = [[], [], [], []];
        foreach ($this->fields as $field) {
            try {
                [$values[$field->name], $text] = $field->read($raw[$field->name] ?? null, $units);
                if ($text !== null) {
                    $typed[$field->name] = $text;
                    $bare = $text === self::trimmed($raw[$field->name] ?? '') ? $bare : [...$bare, $field->name];
                }
            } catch (InvalidField $problem) {
                $problems[] = $problem;
            }
        }

        return $problems === [] ? new Filled(new Values($values), $typed, $bare) : throw new InvalidFields($problems);
    }

    private static function trimmed(mixed $raw): string
    {
        return is_scalar($raw) ? trim((string) $raw) : '';
    }

    /**
     * What a script gives, as it would be typed: a plain number is one in the core's unit.
     *
     * @param  array<mixed>  $values  by field
     * @return array<mixed>
     */
    public function typed(array $values): array
    {
        foreach ($this->fields as $field) {
            $value = $values[$field->name] ?? null;
            if ((is_int($value) || is_float($value)) && $field->dimension !== null) {
                $values[$field->name] = trim("{$value} {$field->dimension->units()[0]->value}");
            }
        }

        return $values;
    }

    /** An entry in words, for screen, record and export alike. Quantities stay as they were typed. */
    public function say(Filled $filled): string
    {
        $say = fn (Field $field) => $field->say(
            $filled->values->raw($field->name),
            $filled->typed[$field->name] ?? null,
        );
        $parts = array_filter(array_map($say, $this->fields));

        return $parts === [] ? $this->button : implode(' · ', $parts);
    }
}
