<?php

declare(strict_types=1);

namespace Aqbel\Core\Evidence;

/** What a stream of a hot run says. */
enum Code: string
{
    case EngineOn = 'engine_on';
    case EngineOff = 'engine_off';

    /** The far side warmed at once while the engine stood near the opening temperature. */
    case ThermostatOpen = 'thermostat_open';

    /** The engine is past full open, and the far side is cold. */
    case ThermostatShut = 'thermostat_shut';

    case FanOn = 'fan_on';
    case FanOff = 'fan_off';
    case LimitReached = 'limit_reached';

    /** The far side is hot, and the live reading is far below it. */
    case SensorInAir = 'sensor_in_air';

    case OutletCold = 'outlet_cold_while_hot';
    case Climbing = 'climbing';
    case RpmHold = 'rpm_hold';

    /** Nothing came for half a minute while the engine ran: no silence is fine. */
    case Silent = 'silent';
}
