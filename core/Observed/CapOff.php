<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Saying\Form;

/** The cap came off while it drained: it runs now. */
final readonly class CapOff extends Event
{
    public static function form(): string
    {
        return 'cap_off';
    }

    public static function asked(): Form
    {
        return new Form(self::form(), 'Cap is off now, it runs');
    }
}
