<?php

declare(strict_types=1);

namespace Aqbel\Core\Vacuum;

/** What a pressure that was held means. */
enum PressureVerdict: string
{
    case Tight = 'tight';
    case Leak = 'leak';
    /** Half of it or more is gone: a leak that has emptied what was pumped. */
    case Lost = 'lost';
    case NoTest = 'no_test';
    case Inconclusive = 'inconclusive';
}
