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

    public function label(): string
    {
        return match ($this) {
            self::None => 'Nothing',
            self::Steam => 'Steam',
            self::Lamp => 'Warning lamp',
            self::Oil => 'Oil pressure',
            self::Drip => 'New drip',
            self::Rough => 'Rough running',
        };
    }

    /** @return array<string, string> what is asked, by code */
    public static function choices(): array
    {
        return array_combine(
            array_column(self::cases(), 'value'),
            array_map(fn (self $sign) => $sign->label(), self::cases()),
        );
    }
}
