<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/** Clean old coolant that goes back in, at the strength it had. */
final readonly class PouredBack extends Report
{
    public const FORM = 'reused';

    private const VOLUME = 'volume';

    private const FRACTION = 'fraction';

    private function __construct(Told $told, public float $ml, public float $fraction)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form !== self::FORM ? null : new self(
            Told::by($line),
            (float) $line->number(self::VOLUME),
            (float) $line->number(self::FRACTION),
        );
    }

    public static function asked(float $mostMl): Form
    {
        return new Form(self::FORM, 'Record what goes back in', [
            Field::volume(self::VOLUME, 'Clean old coolant', $mostMl),
        ]);
    }

    public static function asStrongAs(Values $values, float $fraction): Values
    {
        return $values->with(self::FRACTION, $fraction);
    }
}
