<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** How what went into the waste drum is another amount than came out of the circuit and was caught. */
enum WasteSumCode: string
{
    /** More than this job gave. */
    case Foreign = 'foreign';

    /** Some of it stands in no drum, and nobody spilled it. */
    case Missing = 'missing';
}
