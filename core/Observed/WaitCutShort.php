<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** What was waited for has come, or is dry, before its time. */
final readonly class WaitCutShort extends Event
{
    public static function form(): string
    {
        return 'over';
    }

    public static function asked(): Form
    {
        return new Form(
            self::form(),
            'It has come, or is dry, earlier',
            [Field::text('how', 'What tells so', true)],
            false,
        );
    }
}
