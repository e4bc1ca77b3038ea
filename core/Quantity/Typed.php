<?php

declare(strict_types=1);

namespace Aqbel\Core\Quantity;

/** A number as a person typed it ("3 qt", "1,5 l", "21 inHg"), understood in the core's unit and kept as typed. */
final readonly class Typed
{
    private function __construct(public float $base, public string $text)
    {
    }

    /**
     * @param  Unit  $assumed  the unit meant when only a number is typed
     *
     * @throws \InvalidArgumentException with the remedy, when it is no number or the unit measures something else
     */
    public static function parse(string $text, Unit $assumed): self
    {
        $text = trim($text);
        if (! preg_match('/^([+\-−]?)(\d+(?:[.,]\d*)?|[.,]\d+)\s*(\D.*)?$/u', $text, $part)) {
            throw new \InvalidArgumentException("Enter a number, for example {$assumed->example()}.");
        }
        $unit = ($part[3] ?? '') === '' ? $assumed : Unit::named($part[3]);
        $choices = implode(', ', array_filter(array_map(fn (Unit $u) => $u->value, $assumed->dimension()->units())));
        if ($unit === null) {
            throw new \InvalidArgumentException("The unit “{$part[3]}” is not known here. Use one of: {$choices}.");
        }
        if ($unit->dimension() !== $assumed->dimension()) {
            throw new \InvalidArgumentException(
                "{$unit->value} measures {$unit->dimension()->value}; this field takes {$assumed->dimension()->value}. Use one of: {$choices}.",
            );
        }
        $number = (float) str_replace(',', '.', $part[2]);

        return new self(
            $unit->toBase($part[1] === '' || $part[1] === '+' ? $number : -$number),
            ($part[3] ?? '') === '' ? trim("{$text} {$assumed->value}") : $text,
        );
    }
}
