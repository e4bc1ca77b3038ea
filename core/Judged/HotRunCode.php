<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** What a hot run has come to, where no danger and no level has the word. */
enum HotRunCode: string
{
    /**
     * A heater that is still cold on a hot engine, below the limit
     * and not climbing: some minutes to let the air through.
     */
    case HeaterWatch = 'heater_watch';

    case Proven = 'proven';

    /** Still running, and something is still to be shown. */
    case NotProven = 'not_proven';

    /** Shut off, and something was not shown. */
    case AnotherCycle = 'another_cycle';
}
