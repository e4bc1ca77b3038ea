<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** How a judgement stands. */
enum Outcome: string
{
    /** Proven, by what it rests on. */
    case Passes = 'passes';

    /** Not yet, or not by this. */
    case Waits = 'waits';

    /** A danger, or a test that failed. */
    case Stops = 'stops';
}
