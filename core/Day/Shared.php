<?php

declare(strict_types=1);

namespace Aqbel\Core\Day;

/** What a shop has one of, and two vehicles want. */
enum Shared: string
{
    case VacuumFiller = 'vacuum_filler';
    case Extraction = 'extraction';
    case PressureTester = 'pressure_tester';

    private const WITH_THE_FILLER = ['set_up_vacuum', 'pull', 'hold', 'vacuum_fill'];

    private const WITH_THE_TESTER = ['pressure_test', 'find_drip', 'leak_hunt'];

    /** What a kind of step takes; null where it takes nothing that is shared. */
    public static function of(string $kind, bool $runsEngine): ?self
    {
        return match (true) {
            in_array($kind, self::WITH_THE_FILLER, true) => self::VacuumFiller,
            in_array($kind, self::WITH_THE_TESTER, true) => self::PressureTester,
            $runsEngine && $kind !== 'drive' => self::Extraction,
            default => null,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::VacuumFiller => 'vacuum filler',
            self::Extraction => 'extraction',
            self::PressureTester => 'pressure tester',
        };
    }
}
