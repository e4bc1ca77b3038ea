<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

/** What holds the pressure: the expansion tank's own cap, or a radiator cap with a recovery bottle behind it. */
enum NeckType: string
{
    case PressurisedTank = 'pressurised_tank';
    case RadiatorCap = 'radiator_cap';

    /** Whether a bottle stands behind it, whose own level says nothing of the circuit's. */
    public function hasRecoveryBottle(): bool
    {
        return match ($this) {
            self::PressurisedTank => false,
            self::RadiatorCap => true,
        };
    }
}
