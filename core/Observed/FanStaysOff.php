<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Saying\Form;

/** Somebody says that the fan does not come on in this weather, or on this machine. */
final readonly class FanStaysOff extends Event
{
    public static function form(): string
    {
        return 'no_fan';
    }

    public static function asked(): Form
    {
        return new Form(self::form(), 'The fan does not come on here', [], false);
    }
}
