<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** What the circuit comes to with what was mixed, against what is wanted. */
enum MixComesToCode: string
{
    /** Nothing that could be poured brings it there. */
    case OutOfReach = 'out_of_reach';

    case TooStrong = 'too_strong';
    case OnTarget = 'on_target';
    case OffTarget = 'off_target';
}
