<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** What was found on the way is put right. */
final readonly class PutRightAgain extends Event
{
    public static function form(): string
    {
        return 'done';
    }

    public static function asked(): Form
    {
        return new Form(self::form(), 'It is put right', [
            Field::text('how', 'How')->optional(), Field::text('part', 'Part fitted')->optional(),
        ], closes: true);
    }
}
