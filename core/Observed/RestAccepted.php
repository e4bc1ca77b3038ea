<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** More stays inside than should, and it is left so. */
final readonly class RestAccepted extends Report
{
    private const FORM = 'accepted';

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
        return new Form(self::FORM, 'Accept what stays inside', [Field::text(self::WHY, 'Why')], false, closes: true);
    }
}
