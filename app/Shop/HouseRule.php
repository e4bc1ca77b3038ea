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
     * @param  float  $perBase  of the stored value to one in the core's
     * unit: 1/60 where minutes are kept and seconds computed
     * @param  float  $least  below this, as stored, the rule would judge nothing any more
     */
    public function __construct(
        public Field $field,
        public array $path,
        public string $why,
        public string $source,
        private float $perBase = 1.0,
        private float $least = 0.0,
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

        return $this->said((float) $stored, $units, $withUnit);
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
        if (! is_float($read)) {
            return (string) $read;
        }
        $stored = round($read * $this->perBase, 6);

        return $stored >= $this->least ? $stored : throw new InvalidField(
            $this->field->name,
            "Enter at least {$this->said($this->least, $units, true)}: with less this rule would judge "
                .'nothing any more.',
        );
    }

    private function said(float $stored, UnitSystem $units, bool $withUnit): string
    {
        $unit = $this->field->assumedUnit($units);
        $number = $unit->typed($stored / $this->perBase);

        return $withUnit ? trim("{$number} {$unit->value}") : $number;
    }
}
