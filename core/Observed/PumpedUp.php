<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** The closed circuit was pumped up, at this moment: from here on the clock runs. */
final readonly class PumpedUp extends Report
{
    private const FORM = 'pumped';

    private const TO = 'start';

    private function __construct(Told $told, public float $kPa)
    {
        parent::__construct($told);
    }

    public static function form(): string
    {
        return self::FORM;
    }

    public static function of(Entry $line): ?static
    {
        $to = $line->number(self::TO);

        return $line->form === self::FORM && $to !== null ? new self(Told::by($line), $to) : null;
    }

    public static function asked(): Form
    {
        return new Form(self::FORM, 'It is pumped up', [Field::pressure(self::TO, 'Pumped to', PressureTested::MOST_KPA)]);
    }
}
