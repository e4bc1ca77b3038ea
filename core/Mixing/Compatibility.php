<?php

declare(strict_types=1);

namespace Aqbel\Core\Mixing;

/** What is in the circuit against what the manual names: by base and inhibitor family, never by colour. */
enum Compatibility: string
{
    case AsManual = 'manual';
    case OtherFamily = 'family';
    case OtherBase = 'base';
    case Unknown = 'unknown';
    case Water = 'water';
    case Nothing = 'empty';

    /** Where two coolants set to gel, next to nothing of the old one may stay (common practice, no source). */
    public const AFTER_GEL = 0.01;

    public function label(): string
    {
        return match ($this) {
            self::AsManual => 'What the manual names',
            self::OtherFamily => 'Other inhibitor family',
            self::OtherBase => 'Other base',
            self::Unknown => 'Nobody knows',
            self::Water => 'Water',
            self::Nothing => 'Nothing: it arrives empty',
        };
    }

    public function verdict(): string
    {
        return match ($this) {
            self::AsManual => 'Same base, same family',
            self::OtherFamily => 'Changing family',
            self::OtherBase => 'Changing base',
            self::Unknown => 'Unknown coolant',
            self::Water => 'Only water in it',
            self::Nothing => 'It arrives empty',
        };
    }

    public function reason(): string
    {
        return match ($this) {
            self::AsManual => 'What stays inside mixes with the new fill.',
            self::OtherFamily => 'Two inhibitor families use each other up. Rinse until little of the old one is left.',
            self::OtherBase => 'Ethylene and propylene glycol mix, but then no refractometer scale reads right '
                .'and the freeze point is a guess. Rinse until little is left.',
            self::Unknown => 'Colour proves nothing. Mix a little of both in a jar before they meet in the '
                .'engine: gel or sludge means never. A clear jar still says nothing of the inhibitor, so rinse.',
            self::Nothing => 'Nothing is drained; all that the circuit takes is mixed and poured. Ask why it is '
                .'empty before it is filled.',
            self::Water => 'Nothing to be afraid of in the mixture, but what stays inside thins the new fill.',
        };
    }

    /** Share of the old coolant that may stay; null where any may. */
    public function oldShareAllowed(float $houseRule): ?float
    {
        return in_array($this, [self::AsManual, self::Water, self::Nothing], true) ? null : $houseRule;
    }

    public function needsJarTest(): bool
    {
        return $this === self::Unknown;
    }
}
