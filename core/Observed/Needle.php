<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

/** Where the needle of the dash stands. */
enum Needle: string
{
    case Low = 'low';
    case Middle = 'middle';
    case High = 'high';

    /** @return array<string, string> what is asked, by code */
    public static function choices(): array
    {
        return [
            self::Low->value => 'Still low',
            self::Middle->value => 'In the middle',
            self::High->value => 'Above the middle',
        ];
    }
}
