<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Saying\Hazard;

/** A caution nobody has read in this job, and the step it belongs to. */
final readonly class UnreadCaution
{
    public function __construct(public Hazard $hazard, public string $step)
    {
    }
}
