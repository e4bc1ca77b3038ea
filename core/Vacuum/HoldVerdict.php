<?php

declare(strict_types=1);

namespace Aqbel\Core\Vacuum;

/** What a held vacuum means. */
enum HoldVerdict: string
{
    case Tight = 'tight';
    case Settling = 'settling';
    case Leak = 'leak';
    /** One jump, flat before and after: the adapter rocked. */
    case Moved = 'moved';
    /** It stood, then fell and goes on: a leak that opened meanwhile. */
    case Opened = 'opened';
    /** Half of it or more is gone, or it never was a vacuum to speak of. */
    case Lost = 'lost';
    case Inconclusive = 'inconclusive';
}
