<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Saying\Form;

/** The air was switched on, and pulls. */
final readonly class PullStarted extends Event
{
    public static function form(): string
    {
        return 'started';
    }

    public static function asked(): Form
    {
        return new Form(self::form(), 'Pulling now');
    }
}
