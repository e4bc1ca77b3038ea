<?php

declare(strict_types=1);

namespace Aqbel\Core\Saying;

use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Quantity\UnitSystem;

/** Something the technician can put into the journal at a step: a button, and the fields it needs. */
final readonly class Form
{
    /** @param  list<Field>  $fields */
    public function __construct(public string $name, public string $button, public array $fields = [], public bool $main = true, public string $note = '')
    {
    }

    /**
     * @param  array<mixed>  $raw  as typed
     * @return array{values: array<string, mixed>, typed: array<string, string>}
     *
     * @throws InvalidFields with every field that cannot be used
     */
    public function read(array $raw, UnitSystem $units): array
    {
        $read = ['values' => [], 'typed' => []];
        $problems = [];
        foreach ($this->fields as $field) {
            try {
                [$value, $typed] = $field->read($raw[$field->name] ?? null, $units);
                $read['values'][$field->name] = $value;
                if ($typed !== null) {
                    $read['typed'][$field->name] = $typed;
                }
            } catch (InvalidField $problem) {
                $problems[] = $problem;
            }
        }

        return $problems === [] ? $read : throw new InvalidFields($problems);
    }

    /**
     * An entry in words, for screen, record and export alike. Quantities stay as they were typed.
     *
     * @param  array<string, mixed>  $values
     * @param  array<string, string>  $typed
     */
    public function say(array $values, array $typed): string
    {
        $parts = array_filter(array_map(fn (Field $field) => $field->say($values[$field->name] ?? null, $typed[$field->name] ?? null), $this->fields));

        return $parts === [] ? $this->button : implode(' · ', $parts);
    }
}
