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
     * @param  bool  $offered  whether it may be entered now; else it only reads what was
     * @param  ?self  $also  what a second press says with it: a form without fields
     * @param  ?self  $whole  with every field and choice it ever has, where it asks for less now
     */
    public function __construct(
        public string $name,
        public string $button,
        array $fields = [],
        public bool $main = true,
        public string $note = '',
        public bool $closes = false,
        public bool $offered = true,
        private ?self $whole = null,
        public ?self $also = null,
    ) {
        $this->fields = array_values(array_filter($fields));
    }

    /** The same form, waiting folded away. */
    public function aside(bool $aside = true): self
    {
        return new self(
            $this->name,
            $this->button,
            $this->fields,
            ! $aside,
            $this->note,
            $this->closes,
            $this->offered,
            $this->whole,
            $this->also,
        );
    }

    /** The same form, the last that is pressed at its step. */
    public function closing(): self
    {
        return new self(
            $this->name,
            $this->button,
            $this->fields,
            $this->main,
            $this->note,
            true,
            $this->offered,
            $this->whole,
            $this->also,
        );
    }

    /** The same form, with a second press that says the other one too. */
    public function with(self $also): self
    {
        return new self(
            $this->name,
            $this->button,
            $this->fields,
            $this->main,
            $this->note,
            $this->closes,
            $this->offered,
            $this->whole,
            $also,
        );
    }

    /** As it is corrected, or entered late: with every field and choice it ever has. */
    public function whole(): self
    {
        return $this->whole ?? $this;
    }

    /**
     * All forms of a step, those that may be entered now first.
     *
     * @param  array<?self>  $now  the one most likely next first
     * @param  list<self>  $ever  all it ever has, each with every field and choice
     * @return list<self>
     */
    public static function offering(array $now, array $ever): array
    {
        $whole = array_combine(array_map(fn (self $form) => $form->name, $ever), $ever);
        $forms = [];
        foreach (array_filter($now) as $form) {
            $forms[$form->name] = $form->standing(true, $whole[$form->name] ?? null);
        }
        foreach (array_diff_key($whole, $forms) as $name => $form) {
            $forms[$name] = $form->standing(false, null);
        }

        return array_values($forms);
    }

    /** @param  list<self>  $forms */
    public static function named(string $name, array $forms): ?self
    {
        return array_column($forms, null, 'name')[$name] ?? null;
    }

    private function standing(bool $offered, ?self $whole): self
    {
        return new self(
            $this->name,
            $this->button,
            $this->fields,
            $this->main,
            $this->note,
            $this->closes,
            $offered,
            $whole,
            $this->also,
        );
    }

    /** What its press answers, where it does. */
    public function answer(): ?Field
    {
        $answers = array_filter($this->fields, fn (Field $field) => $field->answers);

        return $answers === [] ? null : reset($answers);
    }

    /** @return list<string> names of those that ask how warm the coolant is */
    public function coolantFields(): array
    {
        $fields = array_filter($this->fields, fn (Field $field) => $field->coolant);

        return array_values(array_map(fn (Field $field) => $field->name, $fields));
    }

    /**
     * @param  array<mixed>  $raw  as typed
     * @param  ?\Closure(Values): bool  $isEnough  whether what can be read is taken without the rest
     *
     * @throws InvalidFields with every field that cannot be used
     */
    public function read(array $raw, UnitSystem $units, ?\Closure $isEnough = null): Filled
    {
        [$values, $typed, $bare, $problems] = [[], [], [], []];
        foreach ([...$this->fields, ...$this->measuredBesides($raw)] as $field) {
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

        $filled = new Filled(new Values($values), $typed, $bare);

        return $problems === [] || $isEnough?->__invoke($filled->values) === true
            ? $filled
            : throw new InvalidFields($problems);
    }

    /**
     * What somebody measured though it is not asked any more, as on a page that is older than the job: it is judged, and
     * not lost.
     *
     * @param  array<mixed>  $raw
     * @return list<Field>
     */
    private function measuredBesides(array $raw): array
    {
        $asked = array_map(fn (Field $field) => $field->name, $this->fields);

        return array_values(array_filter(
            $this->whole()->fields,
            fn (Field $field) => $field->dimension !== null
                && ! in_array($field->name, $asked, true)
                && self::trimmed($raw[$field->name] ?? '') !== '',
        ));
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
