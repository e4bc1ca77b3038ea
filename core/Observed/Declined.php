<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** A test that is not done, and why. */
final readonly class Declined extends Report
{
    private const FORM = 'declined';

    private const WHY = 'why';

    private function __construct(Told $told, public string $why)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM ? new self(Told::by($line), $line->text(self::WHY)) : null;
    }

    public static function asked(): Form
    {
        return new Form(self::FORM, 'Not done', [Field::text(self::WHY, 'Why', true)], false);
    }
}
