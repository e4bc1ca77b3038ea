<?php

declare(strict_types=1);

namespace Aqbel\Core\Visits;

/** What the days after a signature say. */
enum DaysAfterCode: string
{
    /** The level stands still: nothing more comes. */
    case Closed = 'closed';

    /** Air still works out. */
    case StillToCome = 'still_to_come';

    /** It freezes too early, as it was read last. */
    case TooWeak = 'too_weak';

    /** It stands above its mark, and no warmth explains it. */
    case Rises = 'rises';

    /** One look more tells. */
    case TooFew = 'too_few';

    /** It was left below its mark: nobody knows what it would have taken. */
    case LeftBelow = 'left_below';

    /** It takes by the hour. */
    case Leak = 'leak';

    /** Air, and a leak beside it. */
    case Both = 'both';

    /** What the job was for is there again. */
    case ComplaintAgain = 'complaint_again';

    /** It ran hot, a lamp lit, or it steamed. */
    case Alarmed = 'alarmed';

    /** Nothing was to be seen at the mark. */
    case NotSeen = 'not_seen';

    /** Whether somebody has to go to work on it again. */
    public function isRed(): bool
    {
        return in_array($this, [self::Leak, self::Both, self::ComplaintAgain, self::Alarmed, self::NotSeen], true);
    }
}
