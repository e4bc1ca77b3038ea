<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** A drain point that was not opened, seized or out of reach: nothing came out of it, and nothing is blamed on it. */
final readonly class LeftShut extends Report
{
    private const FORM = 'left_shut';

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
        return new Form(self::FORM, 'It stays shut', [Field::text(self::WHY, 'Why', true)], false);
    }
}
