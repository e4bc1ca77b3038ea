<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** Somebody decides that this was the last warm-up, and says why. */
final readonly class LastRun extends Report
{
    private const FORM = 'last_run';

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
        return new Form(self::FORM, 'This was the last run', [Field::text(self::WHY, 'Why', true)], false);
    }
}
