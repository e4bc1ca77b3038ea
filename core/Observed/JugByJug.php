<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Saying\Form;

/** Nothing is mixed: it is drawn from jugs, one liquid each. */
final readonly class JugByJug extends Event
{
    public static function form(): string
    {
        return 'jugs';
    }

    public static function asked(): Form
    {
        return new Form(self::form(), 'No bucket: drawn from jugs, one liquid each', [], false);
    }
}
