<?php

declare(strict_types=1);

namespace Aqbel\Core\Saying;

/** What a reason alone does not answer: it also takes somebody whom the house lets pass it over. */
enum Gate: string
{
    /** Sums that cannot be. */
    case Sums = 'sums';

    /** A mixture that freezes too early, or is too strong to carry heat. */
    case Frost = 'frost';

    /** A test of tightness that failed. */
    case Tightness = 'tightness';
}
