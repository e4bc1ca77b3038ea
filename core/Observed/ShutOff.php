<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Saying\Form;

/** The engine was shut off. */
final readonly class ShutOff extends Event
{
    public static function form(): string
    {
        return 'shut_off';
    }

    public static function asked(): Form
    {
        return new Form(self::form(), 'Engine is off');
    }
}
