<?php

declare(strict_types=1);

namespace App\Calculators;

use Aqbel\Core\Saying\Field;
use Aqbel\Core\Values;

/**
 * One calculator of the Bench screen: what it asks, how it answers through the core, by which formula and from which
 * source.
 */
final readonly class Calculator
{
    /**
     * @param  list<Field>  $fields
     * @param  \Closure(Values): Answer  $answer
     */
    public function __construct(
        public string $name,
        public string $title,
        public array $fields,
        public \Closure $answer,
        public string $formula,
        public string $source,
    ) {
    }

    /**
     * Problems under the names of their fields.
     *
     * @param  array<string, string>  $problems  by field code
     * @return array<string, string>
     */
    public function named(array $problems): array
    {
        $named = [];
        foreach ($problems as $code => $problem) {
            $fields = array_values(array_filter($this->fields, fn (Field $field) => $field->name === $code));
            $named[$fields[0]->label ?? $code] = $problem;
        }

        return $named;
    }
}
