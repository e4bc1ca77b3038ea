<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Saying\Form;

/** Nothing goes in: it was looked at, and stands at its line. */
final readonly class StandsAtLine extends Event
{
    public static function form(): string
    {
        return 'at_line';
    }

    public static function asked(): Form
    {
        return new Form(self::form(), 'It stands at the line, nothing goes in');
    }
}
