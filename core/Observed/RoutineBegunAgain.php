<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Saying\Form;

/** The manual's own routine is begun from its first line once more. */
final readonly class RoutineBegunAgain extends Event
{
    public static function form(): string
    {
        return 'again';
    }

    public static function asked(): Form
    {
        return new Form(self::form(), 'Begin the routine again', [], false);
    }
}
