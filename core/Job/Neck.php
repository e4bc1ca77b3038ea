<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/** How the fill neck stands. One that was sealed while warming is under pressure and scalds when the cap moves. */
enum Neck: string
{
    case Sealed = 'sealed';
    case Resting = 'resting';
    case Open = 'open';
    case Funnel = 'funnel';

    /** Whether it is under pressure once it is warm. */
    public function holdsPressure(): bool
    {
        return match ($this) {
            self::Sealed => true,
            self::Resting, self::Open, self::Funnel => false,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Sealed => 'Sealed under its cap',
            self::Resting => 'Cap resting',
            self::Open => 'Open',
            self::Funnel => 'Under a funnel',
        };
    }

    /** @return array<string, string> label by code */
    public static function choices(): array
    {
        return array_combine(
            array_column(self::cases(), 'value'),
            array_map(fn (self $neck) => $neck->label(), self::cases()),
        );
    }
}
