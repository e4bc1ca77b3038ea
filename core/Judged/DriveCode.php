<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** What a drive shows. */
enum DriveCode: string
{
    case Limit = 'limit';
    case LevelAlarm = 'level_alarm';
    case Overheats = 'overheats';
    case Alarm = 'alarm';
    case RanCool = 'ran_cool';

    /** By the sums pump or jackets were dry: one of them is wrong, or it was driven on air. */
    case TooLittle = EnoughToRun::TOO_LITTLE;

    /** Neither ten minutes nor five kilometres. */
    case TooShort = 'too_short';

    /** Told longer, or farther, than time has passed since the level was read. */
    case NotSoLong = 'not_so_long';

    /** Never at full-open temperature. */
    case NotHot = 'not_hot';
}
