<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

/** What is poured through stands full there, or runs in a steady stream. */
final readonly class StandsFull extends Event
{
    public static function form(): string
    {
        return 'full';
    }
}
