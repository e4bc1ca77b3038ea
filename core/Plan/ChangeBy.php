<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** By which measure a change interval is used up. */
enum ChangeBy: string
{
    case Distance = 'distance';
    case Time = 'time';
    case Hours = 'hours';

    public function label(): string
    {
        return match ($this) {
            self::Distance => 'distance',
            self::Time => 'time',
            self::Hours => 'running hours',
        };
    }
}
