<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

/** What the dash said on a drive. */
enum Alarm: string
{
    case None = 'none';
    case Level = 'level';
    case Hot = 'hot';

    /** Any other lamp, steam, rough running. */
    case Other = 'other';

    /** @return array<string, string> what is asked, by code */
    public static function choices(): array
    {
        return [
            self::None->value => 'None', self::Level->value => 'Low level', self::Hot->value => 'Temperature',
            self::Other->value => 'Another lamp, steam, runs rough',
        ];
    }
}
