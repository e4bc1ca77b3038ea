<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

/** What moves the heater valve. An electric one stays shut while the ignition is off. */
enum HeaterDrive: string
{
    case Cable = 'cable';
    case Vacuum = 'vacuum';
    case Electric = 'electric';
    case None = 'none';
    case Other = 'other';
}
