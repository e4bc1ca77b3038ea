<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

/** What a passage is part of. Only a tank has headspace. */
enum PassageKind: string
{
    case Hose = 'hose';
    case Radiator = 'radiator';
    case Block = 'block';
    case Head = 'head';
    case Heater = 'heater';
    case Tank = 'tank';
    case Recovery = 'recovery';
    case Line = 'line';
    case Pump = 'pump';
    case Cooler = 'cooler';
}
