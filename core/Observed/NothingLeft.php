<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Saying\Form;

/** Of what was mixed nothing is left. */
final readonly class NothingLeft extends Event
{
    public static function form(): string
    {
        return 'none';
    }

    public static function asked(): Form
    {
        return new Form(self::form(), 'Nothing is left', [], false);
    }
}
