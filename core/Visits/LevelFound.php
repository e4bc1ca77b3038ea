<?php

declare(strict_types=1);

namespace Aqbel\Core\Visits;

/** Where the cold level stood when somebody came to look, before anything was topped up. */
enum LevelFound: string
{
    case AtMark = 'at_mark';
    case Below = 'below';
    case Above = 'above';
    case NotSeen = 'not_seen';

    /** As where a customer rings up. */
    case NotLooked = 'not_looked';

    public function label(): string
    {
        return match ($this) {
            self::AtMark => 'At the mark',
            self::Below => 'Below it',
            self::Above => 'Above it',
            self::NotSeen => 'No coolant to be seen',
            self::NotLooked => 'Nobody looked',
        };
    }
}
