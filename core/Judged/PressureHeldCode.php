<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** What a pressure test says. */
enum PressureHeldCode: string
{
    case Declined = 'declined';

    /** Pumped to too little to show a weep. */
    case NoTest = 'no_test';

    case Falls = 'falls';

    /** Half of it or more is gone. */
    case Lost = 'lost';

    /** It shows a burst, no more. */
    case Warm = 'warm';

    case TooShort = 'too_short';

    /** Told as longer than the journal allows. */
    case NotSoLong = 'not_so_long';

    case Holds = 'holds';

    /** The clock runs. */
    case Holding = 'holding';
}
