<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** What is known of a level looked at, hot, under a cap that only rested. */
enum WarmLevelCode: string
{
    /** The cap went on before anybody looked, or before it had settled. */
    case CappedEarly = 'capped_early';

    case NotLooked = 'not_looked';

    /** As much goes each time. */
    case NotAir = 'not_air';

    case AnotherWarmUp = 'another_warm_up';

    case Settled = 'settled';
}
