<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** What a refractometer says of the mixture. */
enum MixtureReadCode: string
{
    case AsPlanned = 'as_planned';
    case OffPlan = 'off_plan';

    /** Colder than its scale tells: 60 % or more, how much more nobody knows. */
    case Beyond = 'beyond';

    /** It and the ledger cannot both be right. */
    case Contradicts = 'contradicts';
}
