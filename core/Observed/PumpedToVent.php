<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** The closed circuit was pumped up, cold, so that a point above the neck runs. */
final readonly class PumpedToVent extends Report
{
    public const FORM = 'pumped';

    public const KPA = 'kpa';

    private const MOST_KPA = 400.0;

    private function __construct(Told $told, public ?float $kpa)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM ? new self(Told::by($line), $line->number(self::KPA)) : null;
    }

    public static function asked(): Form
    {
        return new Form(self::FORM, 'It is pumped up', [Field::pressure(self::KPA, 'Pumped to', self::MOST_KPA)]);
    }
}
