<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Saying\Form;

/** The neck was opened, the coolant read at it. */
final readonly class NeckOpened extends Event
{
    public static function form(): string
    {
        return 'opened';
    }

    public static function asked(): Form
    {
        return new Form(self::form(), 'Open the neck', [CoolantRead::field()]);
    }
}
