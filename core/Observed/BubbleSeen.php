<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Saying\Form;

/** A bubble came in the stream of a bleed point. */
final readonly class BubbleSeen extends Event
{
    public static function form(): string
    {
        return 'bubble';
    }

    public static function asked(): Form
    {
        return new Form(self::form(), 'Saw a bubble');
    }
}
