<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

enum GateKind: string
{
    case Thermostat = 'thermostat';
    case HeaterValve = 'heater_valve';
    case Valve = 'valve';
}
