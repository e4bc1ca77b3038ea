<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/** What of a kind of step instruments can tell while it is done. */
enum WatchedBy
{
    /** Temperatures, revolutions and fan of an engine that runs where it stands. */
    case Engine;

    /** The same on the road, or under load. */
    case OnTheRoad;

    case VacuumGauge;

    case PressureGauge;
}
