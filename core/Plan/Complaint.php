<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;

/** What somebody complained of, asked again at the end. */
enum Complaint: string
{
    case None = 'none';
    case Overheats = 'overheats';
    case HeaterCold = 'heater_cold';
    case Gurgling = 'gurgling';
    case Fan = 'fan';
    case Alarm = 'alarm';
    case Falling = 'falling';

    public function label(): string
    {
        return match ($this) {
            self::None => 'None',
            self::Overheats => 'Overheats',
            self::HeaterCold => 'Heater cold',
            self::Gurgling => 'Gurgling',
            self::Fan => 'Fan early or long',
            self::Alarm => 'Low-level alarm',
            self::Falling => 'Level falling',
        };
    }

    /** Whether this machine has what is complained of. */
    public function fits(Circuit $circuit): bool
    {
        return match ($this) {
            self::HeaterCold => $circuit->hasHeater(),
            self::Fan => $circuit->facts->fanOnC !== null,
            default => true,
        };
    }
}
