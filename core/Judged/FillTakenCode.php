<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** What a fill took, against what was predicted. */
enum FillTakenCode: string
{
    /** At its mark before and after, with air behind it of which nobody knows how much. */
    case NotTold = 'not_told';

    case AsPredicted = 'as_predicted';

    /** Full by the sums, and somewhat more than predicted: less air stayed. */
    case Full = 'full';
    case MoreThanPredicted = 'more_than_predicted';

    /** No less than predicted, and nobody said what of it stands in the funnel: it shows when that comes off. */
    case StandsInFunnel = 'stands_in_funnel';
    case AirTrapped = 'air_trapped';

    /** What is missing goes in at the next fill point. */
    case NextNeck = 'next_neck';
}
