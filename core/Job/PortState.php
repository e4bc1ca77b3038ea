<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/** How a point of the circuit was left by the steps so far. */
enum PortState: string
{
    case Open = 'open';
    case Running = 'running';
    case Closed = 'closed';
}
