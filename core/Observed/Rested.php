<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/** How long it has stood since it last ran: in hours, or overnight. */
final readonly class Rested extends Report
{
    private const FORM = 'rested';

    public const SINCE = 'since';

    private const OVERNIGHT = 'overnight';

    /** A night in the shop, s (common practice, no source). */
    private const NIGHT_S = 8.0 * 3600.0;

    private const LONGEST_S = 3600.0 * 24 * 400;

    private function __construct(Told $told, public float $seconds)
    {
        parent::__construct($told);
    }

    public static function form(): string
    {
        return self::FORM;
    }

    public static function of(Entry $line): ?static
    {
        $seconds = $line->form === self::FORM ? self::secondsIn($line->values) : null;

        return $seconds === null ? null : new self(Told::by($line), $seconds);
    }

    public static function asked(): Form
    {
        return new Form(self::FORM, 'It stood long enough', [
            Field::duration(self::SINCE, 'Hours since it last ran', Unit::Hour, self::LONGEST_S)->usuallySaid(),
            Field::fact(self::OVERNIGHT, 'It stood overnight, or longer'),
        ]);
    }

    /** @throws InvalidField where neither was said */
    public static function admit(Values $values): void
    {
        if (self::secondsIn($values) === null) {
            throw new InvalidField(self::SINCE, 'Enter the hours, or tick that it stood overnight.');
        }
    }

    /** How long is said, s: hours, or a night; null where neither is. */
    public static function secondsIn(Values $values): ?float
    {
        return $values->number(self::SINCE) ?? ($values->ticked(self::OVERNIGHT) ? self::NIGHT_S : null);
    }
}
