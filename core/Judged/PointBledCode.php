<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** What a bleed point shows. */
enum PointBledCode: string
{
    /** Said that it will not run, and never seen running. */
    case StaysDry = 'stays_dry';

    case Closed = 'closed';

    /** Its minute is over, or the house closes at once. */
    case CloseIt = 'close_it';

    case Running = 'running';

    /** It was closed as it ran, and no pour is written down yet: the level tells what went in. */
    case ClosedUnwritten = 'closed_unwritten';

    /** It is closed, and nobody saw it run, or says that it stays dry. */
    case NeverRan = 'never_ran';

    /** It runs with far less in than reaches it, by the sums. */
    case RanTooEarly = 'ran_too_early';

    /** More is in than reaches it, and it is silent. */
    case ShouldRun = 'should_run';
}
