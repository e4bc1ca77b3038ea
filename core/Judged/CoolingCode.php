<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** What is known of an engine that cools. */
enum CoolingCode: string
{
    case CoolToTheHand = 'cool_to_the_hand';

    /** Warm, and it was never sealed: topped up warm with glasses and rag. */
    case Unsealed = 'unsealed';

    case Cold = 'cold';

    /** Stood long enough for its size. */
    case Rested = 'rested';

    case RestedTooShort = 'rested_too_short';

    case NotFalling = 'not_falling';

    case TooHot = 'too_hot';
}
