<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

/** How rinse water runs out, held against the light. */
enum Runs: string
{
    case Clear = 'clear';
    case Coloured = 'coloured';
    case Film = 'film';

    public function label(): string
    {
        return match ($this) {
            self::Clear => 'Clear',
            self::Coloured => 'Coloured',
            self::Film => 'With a film',
        };
    }

    /** @return array<string, string> */
    public static function choices(): array
    {
        return array_combine(
            array_column(self::cases(), 'value'),
            array_map(fn (self $runs) => $runs->label(), self::cases()),
        );
    }
}
