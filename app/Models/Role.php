<?php

declare(strict_types=1);

namespace App\Models;

/** What somebody may do here. */
enum Role: string
{
    case Technician = 'technician';
    case Lead = 'lead';

    public function other(): self
    {
        return $this === self::Lead ? self::Technician : self::Lead;
    }

    public function label(): string
    {
        return match ($this) {
            self::Technician => 'Technician',
            self::Lead => 'Lead',
        };
    }
}
