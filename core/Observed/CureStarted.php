<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Saying\Form;

/** A joint with new sealant was bolted up: it hardens from there on. */
final readonly class CureStarted extends Event
{
    public static function form(): string
    {
        return 'started';
    }

    public static function asked(): Form
    {
        return new Form(self::form(), 'Joint is bolted up');
    }
}
