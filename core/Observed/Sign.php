<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

/** What ends a run at once, whatever the thermometer says. */
enum Sign: string
{
    case None = 'none';
    case Steam = 'steam';
    case Lamp = 'lamp';
    case Oil = 'oil';
    case Drip = 'drip';
    case Rough = 'rough';

    /** @return array<string, string> what is asked, by code */
    public static function choices(): array
    {
        return [
            self::None->value => 'Nothing', self::Steam->value => 'Steam', self::Lamp->value => 'Warning lamp',
            self::Oil->value => 'Oil pressure', self::Drip->value => 'New drip', self::Rough->value => 'Runs rough',
        ];
    }
}
