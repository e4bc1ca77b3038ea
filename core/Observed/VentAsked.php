<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Saying\Form;

/** What is trapped is to be vented under pressure next. */
final readonly class VentAsked extends Event
{
    public static function form(): string
    {
        return 'vent';
    }

    public static function asked(): Form
    {
        return new Form(self::form(), 'Vent it under pressure next', [], false);
    }
}
