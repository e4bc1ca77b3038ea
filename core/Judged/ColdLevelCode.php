<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** What a cold level says. */
enum ColdLevelCode: string
{
    /** What it took is reading error, after a run that showed all. */
    case Settled = 'settled';

    /** More had come out than went back in, and it stands at its mark all the same. */
    case LessThanCameOut = 'less_than_came_out';

    /** It stands below or above its mark: what it takes is not known yet. */
    case OffMark = 'off_mark';

    /** More stood above the mark than warmth explains, and nothing had been poured. */
    case Rose = 'rose';

    /** As the time before: it is gas until a test says no. */
    case RoseAgain = 'rose_again';

    /** It took what had come out another way. */
    case MadeUp = 'made_up';

    /** It took nothing, and its way wants to see that more than once. */
    case QuietSoFar = 'quiet_so_far';

    /** As much goes each time. */
    case NotAir = 'not_air';

    /** After the drive: leftover air. */
    case WorkingOut = 'working_out';

    /** What it took was air, or the run before did not show all. */
    case AnotherCycle = 'another_cycle';

    /** It took nothing, as the time before, and both runs left the same to be shown: a third shows no more. */
    case SameAgain = 'same_again';

    /** It took nothing, and what the run left to be shown no run can show here. */
    case NoRunShows = 'no_run_shows';

    /** Somebody said that this was the last run. */
    case EndedByChoice = 'ended_by_choice';

    /** What it took is what the coolant shrank by, and nothing ran before that it could prove. */
    case NothingRan = 'nothing_ran';

    /** Whether something is left to be shown, by a run or by none: who has seen enough may say that it was the last. */
    public function leavesSomething(): bool
    {
        return in_array($this, [self::AnotherCycle, self::QuietSoFar, self::NoRunShows, self::SameAgain], true);
    }
}
