<?php

declare(strict_types=1);

namespace App\Calculators;

use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Field;

/** One calculator of the bench: what it asks, how it answers through the core, by which formula and from which source. */
final readonly class Calculator
{
    /**
     * @param  list<Field>  $fields
     * @param  \Closure(array<string, mixed>): array<string, array{float|null, Dimension|Unit}|string>  $answer  by label: a number in the core's unit and what it measures, or a sentence
     */
    public function __construct(public string $name, public string $title, public array $fields, public \Closure $answer, public string $formula, public string $source)
    {
    }
}
