<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** What a fill took, against what was predicted. */
enum FillTakenCode: string
{
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
