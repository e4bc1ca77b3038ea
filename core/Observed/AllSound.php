<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Saying\Form;

/** Hoses, clamps, cap, fins, tank and pipes were looked at before the work, and all of it was good. */
final readonly class AllSound extends Event
{
    public static function form(): string
    {
        return 'sound';
    }

    public static function asked(): Form
    {
        return new Form(self::form(), 'All of it is good');
    }
}
