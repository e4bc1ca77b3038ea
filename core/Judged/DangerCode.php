<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** What ends a run. */
enum DangerCode: string
{
    case Limit = 'limit';

    /** Steam, a lamp, oil pressure, a drip, rough running. */
    case Sign = 'sign';

    /** The live reading, or the needle, is not of coolant. */
    case SensorInAir = 'sensor_in_air';

    case ThermostatShut = 'thermostat_shut';

    /** Hot coolant, and none of it comes through the heater. */
    case HeaterCold = 'heater_cold';

    /** Above the middle, and nobody reads how hot it is. */
    case NeedleHigh = 'needle_high';

    case CoolantLost = 'coolant_lost';
}
