<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** What the vehicle is here for. */
enum JobKind: string
{
    case Repair = 'repair';
    case Change = 'change';
    case Lost = 'lost';
    case Bleed = 'bleed';

    public function label(): string
    {
        return match ($this) {
            self::Repair => 'Repair',
            self::Change => 'Coolant change',
            self::Lost => 'Loses coolant',
            self::Bleed => 'Bleed only',
        };
    }
}
