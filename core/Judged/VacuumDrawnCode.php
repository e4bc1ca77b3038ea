<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** What a vacuum that draws coolant in has come to. */
enum VacuumDrawnCode: string
{
    case Filling = 'filling';

    /** The needle is at zero, and about as much is in as the vacuum could draw. */
    case Full = 'full';

    /** The needle is at zero with too little in: the hose took air. */
    case AirCameIn = 'air_came_in';

    /** It grew deeper while coolant came in, which cannot be. */
    case NeedleDeeper = 'needle_deeper';

    /** It hardly fell for what went in, which cannot be. */
    case NeedleStands = 'needle_stands';
}
