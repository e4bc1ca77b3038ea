<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\ShutOff;
use Aqbel\Core\Observed\Started;

/** Whether by the journal the engine runs at a step: started, and not shut off since. */
final class EngineRuns
{
    public static function at(Situation $at): bool
    {
        return $at->latest(Started::class)?->isAfter($at->latest(ShutOff::class)) === true;
    }
}
