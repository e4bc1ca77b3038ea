<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** Why the run before a cold level leaves something to be shown. */
enum Unproven: string
{
    /** It ended in danger. */
    case Stopped = 'stopped';

    case Dripped = 'dripped';

    case AirAtTheVent = 'air_at_the_vent';

    /** Something was not shown. */
    case Missing = 'missing';

    /** It never ran. */
    case NotRun = 'not_run';
}
