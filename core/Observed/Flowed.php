<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

/** How a drain point ran. */
enum Flowed: string
{
    case Ran = 'ran';
    case Early = 'early';
    case Blocked = 'blocked';

    /** @return array<string, string> */
    public static function choices(): array
    {
        return [
            self::Ran->value => 'ran out and stopped',
            self::Early->value => 'stopped early',
            self::Blocked->value => 'hardly came',
        ];
    }
}
