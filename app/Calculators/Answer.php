<?php

declare(strict_types=1);

namespace App\Calculators;

use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;

/** What a calculator answers: numbers in the core's units, and a verdict in a sentence. */
final readonly class Answer
{
    /** @param  list<array{string, float, Dimension|Unit}>  $numbers  by what they are called */
    public function __construct(private array $numbers, public string $verdict = '')
    {
    }

    /** Whether every number stands in one unit of its own: then metric and US need no columns. */
    public function isTableOfUnits(): bool
    {
        return $this->verdict === '' && array_filter($this->numbers, fn (array $n) => ! $n[2] instanceof Unit) === [];
    }

    /** @return list<non-empty-list<string>> what, and its value; in both systems where they differ */
    public function rows(): array
    {
        $row = fn (array $n): array => $n[2] instanceof Unit
            ? [$n[0], UnitSystem::Metric->format($n[1], $n[2])]
            : [$n[0], UnitSystem::Metric->format($n[1], $n[2]), UnitSystem::UsCustomary->format($n[1], $n[2])];

        return array_map($row, $this->numbers);
    }
}
