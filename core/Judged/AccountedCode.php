<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** Whether the sums account for a circuit that stands at its mark. */
enum AccountedCode: string
{
    case Accounted = 'accounted';

    /** More is missing than the sums can be off by: air behind the mark. */
    case AirUnaccounted = 'air_unaccounted';

    /** More went in than stands below the mark. */
    case TooMuch = 'too_much';

    /** Somebody named the number that is wrong. */
    case NumberNamed = 'number_named';
}
