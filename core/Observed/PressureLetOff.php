<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Saying\Form;

/** What was pumped up has been let off. */
final readonly class PressureLetOff extends Event
{
    public static function form(): string
    {
        return 'released';
    }

    public static function asked(): Form
    {
        return new Form(self::form(), 'The pressure is off', [], false, closes: true);
    }
}
