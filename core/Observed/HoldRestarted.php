<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Saying\Form;

/** The hold begins anew: pulled again, or the valve shut only now. */
final readonly class HoldRestarted extends Event
{
    public static function form(): string
    {
        return 'restart';
    }

    public static function asked(): Form
    {
        return new Form(self::form(), 'Start the hold anew', [], false);
    }
}
