<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Saying\Form;

/** The engine was not run before the work; that is an answer. */
final readonly class NotRunBefore extends Event
{
    public static function form(): string
    {
        return 'not_run';
    }

    public static function asked(): Form
    {
        return new Form(self::form(), 'The engine was not run before the work', [], false, closes: true);
    }
}
