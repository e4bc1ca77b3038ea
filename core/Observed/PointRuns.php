<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Saying\Form;

/** Coolant was seen to run at a bleed point. */
final readonly class PointRuns extends Event
{
    public static function form(): string
    {
        return 'running';
    }

    public static function asked(): Form
    {
        return new Form(self::form(), 'It runs');
    }
}
