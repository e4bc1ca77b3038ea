<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** Whether what stays inside asks for a rinse. */
enum RinseNeededCode: string
{
    case NotNeeded = 'not_needed';

    /** Not asked for by what came out, and decided all the same. */
    case Chosen = 'chosen';

    /** It may stay, and it is half a change. */
    case MuchStays = 'much_stays';

    case Needed = 'needed';
}
