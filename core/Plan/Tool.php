<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** What may be at hand, and decides which schools and proofs can be had. */
enum Tool: string
{
    case VacuumFiller = 'vacuum_filler';
    case PressureTester = 'pressure_tester';
    case Refractometer = 'refractometer';
    case Funnel = 'funnel';
    case Ramps = 'ramps';

    public function label(): string
    {
        return match ($this) {
            self::VacuumFiller => 'Vacuum filler, compressed air',
            self::PressureTester => 'Pressure tester',
            self::Refractometer => 'Refractometer',
            self::Funnel => 'High funnel with adapter',
            self::Ramps => 'Ramps or lift for the nose',
        };
    }
}
