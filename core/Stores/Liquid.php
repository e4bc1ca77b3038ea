<?php

declare(strict_types=1);

namespace Aqbel\Core\Stores;

/** What a container holds. */
enum Liquid: string
{
    case Concentrate = 'concentrate';
    case Premix = 'premix';
    case Water = 'water';

    public function label(): string
    {
        return match ($this) {
            self::Concentrate => 'Concentrate',
            self::Premix => 'Premix',
            self::Water => 'Distilled or deionised water',
        };
    }

    /** @return array<string, string> label by code */
    public static function choices(): array
    {
        return array_combine(
            array_column(self::cases(), 'value'),
            array_map(fn (self $liquid) => $liquid->label(), self::cases()),
        );
    }
}
