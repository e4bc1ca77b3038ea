<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Saying\Form;

/** The cap went on, warm, and is tight: from then on the neck counts as sealed. */
final readonly class Capped extends Event
{
    public static function form(): string
    {
        return 'capped';
    }

    public static function asked(): Form
    {
        return new Form(self::form(), 'The cap is on and tight', [], false, closes: true);
    }
}
