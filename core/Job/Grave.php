<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/**
 * What somebody looked for and saw, or did not: a calmer look after it undoes nothing. The gravest stands until its
 * line is taken back, with a reason.
 */
interface Grave extends Observation
{
    /** Nought where there is nothing to it. */
    public function gravity(): int;
}
