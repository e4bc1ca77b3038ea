<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;

/** How warm the coolant was read, at whatever step: on a running engine, or standing. */
final readonly class CoolantRead extends Report
{
    public const COOLANT = 'ect';

    private function __construct(Told $told, public float $celsius)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        $celsius = $line->number(self::COOLANT);

        return $celsius === null ? null : new self(Told::by($line), $celsius);
    }

    public static function field(string $label = 'Coolant now', ?float $knownC = null): Field
    {
        $field = Field::coolant(self::COOLANT, $label);

        return $knownC === null ? $field : $field->preset($knownC);
    }
}
