<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Saying\Form;

/** Hoses and radiator were felt, and are cool. */
final readonly class CoolToTheHand extends Event
{
    public static function form(): string
    {
        return 'by_hand';
    }

    public static function asked(): Form
    {
        return new Form(self::form(), 'No thermometer: cool to the hand', [], false);
    }
}
