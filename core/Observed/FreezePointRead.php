<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** What a refractometer showed of the coolant in the circuit. */
final readonly class FreezePointRead extends Report
{
    private const FORM = 'freeze';

    private const FREEZES = 'freeze';

    private const LEAST_C = -70.0;

    private function __construct(Told $told, public float $celsius)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        $celsius = $line->form === self::FORM ? $line->number(self::FREEZES) : null;

        return $celsius === null ? null : new self(Told::by($line), $celsius);
    }

    public static function asked(): Form
    {
        return new Form(self::FORM, 'Record freeze point', [
            Field::temperature(self::FREEZES, 'Freezes at', true, self::LEAST_C, 0),
        ]);
    }
}
