<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** How long a vacuum is held: a glance, or the test that finds a weep. */
enum HoldLength: string
{
    case Glance = 'glance';
    case Real = 'real';
}
