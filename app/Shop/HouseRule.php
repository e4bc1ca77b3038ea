<?php

declare(strict_types=1);

namespace App\Shop;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\FieldType;

/** One rule of the house as a lead sees it: what it is, what it is for, what most shops take, and who says so. */
final readonly class HouseRule
{
    /**
     * @param  list<string>  $path  of the value in the stored rules
     * @param  float  $perBase  of the stored value to one in the core's unit: 1/60 where minutes are kept and seconds computed
     */
    public function __construct(
        public Field $field,
        public array $path,
        public string $why,
        public string $source,
        private float $perBase = 1.0,
    ) {
    }

    /**
     * The rule as these say it, in the reader's units: bare, as it stands in an input, or with its unit.
     *
     * @param  array<mixed>  $rules  as stored
     */
    public function text(array $rules, UnitSystem $units, bool $withUnit = false): string
    {
        $stored = $this->stored($rules);
        if ($this->field->type !== FieldType::Quantity) {
            return $withUnit ? $this->field->choices[(string) $stored] ?? (string) $stored : (string) $stored;
        }
        $unit = $this->field->assumedUnit($units);
        $number = $unit->typed((float) $stored / $this->perBase);

        return $withUnit ? trim("{$number} {$unit->value}") : $number;
    }

    /** @param  array<mixed>  $rules  as stored */
    public function stored(array $rules): string|float|int|null
    {
        $value = data_get($rules, $this->path);

        return is_string($value) || is_int($value) || is_float($value) ? $value : null;
    }

    /**
     * What was typed, as it is stored. What stands there as it was shown stays as it is stored, to the last digit.
     *
     * @param  array<mixed>  $rules  as stored until now
     *
     * @throws InvalidField
     */
    public function read(mixed $raw, array $rules, UnitSystem $units): float|string|int|null
    {
        if (is_string($raw) && trim($raw) === $this->text($rules, $units)) {
            return $this->stored($rules);
        }
        $read = $this->field->read($raw, $units)[0];

        return is_float($read) ? round($read * $this->perBase, 6) : (string) $read;
    }
}
