<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;

/** The air around the vehicle, as it was read, at whatever step. */
final readonly class OutsideAir extends Report
{
    private const AIR = 'air';

    /** As the baseline asks for it. */
    private const OUTSIDE = 'outside';

    private const LEAST_C = -40.0;

    private const MOST_C = 55.0;

    private function __construct(Told $told, public float $celsius)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        $celsius = $line->number(self::AIR) ?? $line->number(self::OUTSIDE);

        return $celsius === null ? null : new self(Told::by($line), $celsius);
    }

    public static function field(string $label, bool $required = true, ?float $knownC = null): Field
    {
        $field = Field::temperature(self::AIR, $label, $required, self::LEAST_C, self::MOST_C);

        return $knownC === null ? $field : $field->preset($knownC);
    }

    /** The field in which it is asked with a reading; null where it is not. */
    public static function askedIn(Field ...$fields): ?string
    {
        return array_filter($fields, fn (Field $field) => $field->name === self::AIR) === [] ? null : self::AIR;
    }

    public static function baselineField(): Field
    {
        return Field::temperature(self::OUTSIDE, 'Air outside', false, self::LEAST_C, self::MOST_C);
    }
}
