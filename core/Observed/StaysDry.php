<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** Somebody says that a bleed point will not run, and what was tried. */
final readonly class StaysDry extends Report
{
    private const FORM = 'dry';

    private const WHY = 'why';

    private function __construct(Told $told)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM ? new self(Told::by($line)) : null;
    }

    public static function asked(): Form
    {
        return new Form(self::FORM, 'It will not run', [Field::text(self::WHY, 'What was tried', true)], false);
    }
}
