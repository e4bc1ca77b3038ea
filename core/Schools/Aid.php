<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Misfit;

/** What helps the air out besides; any number of them. */
enum Aid: string
{
    case Raise = 'raise';
    case VentPressure = 'vent_pressure';
    case Squeeze = 'squeeze';

    public function label(): string
    {
        return match ($this) {
            self::Raise => 'nose raised',
            self::VentPressure => 'pumped up cold, and a point cracked',
            self::Squeeze => 'hoses squeezed',
        };
    }

    /** Whether the model says what it brings; squeezing is left to hands. */
    public function isModelled(): bool
    {
        return $this !== self::Squeeze;
    }

    public function whyNot(Circuit $circuit, Choices $choices): ?Misfit
    {
        return match ($this) {
            self::Raise => (new Raised)->whyNot($circuit, $choices),
            self::VentPressure => (new PressureVent)->whyNot($circuit, $choices),
            self::Squeeze => null,
        };
    }
}
