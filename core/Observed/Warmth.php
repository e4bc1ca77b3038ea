<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

/** How warm something feels. */
enum Warmth: string
{
    case Cold = 'cold';
    case Warm = 'warm';
    case Hot = 'hot';

    /** @return array<string, string> what is asked, by code */
    public static function choices(): array
    {
        return [self::Cold->value => 'Cold', self::Warm->value => 'Warm', self::Hot->value => 'Hot'];
    }
}
