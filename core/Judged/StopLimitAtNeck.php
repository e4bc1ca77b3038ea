<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Heat\StopLimit;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Plan\NeckLimit;
use Aqbel\Core\Plan\Plan;

/** Where the run must stop, for the neck as it stands: sealed under its cap, or at the pressure of the shop's air. */
final class StopLimitAtNeck
{
    /** °C. */
    public static function boiling(Situation $at, Mixture $coolant, float $capKpa): float
    {
        return NeckLimit::boiling(Plan::of($at)->choices, $coolant, $capKpa)->degC();
    }

    /**
     * With what the ledger says is inside, or what is wanted, whichever boils earlier: a sum that went wrong never
     * raises a limit.
     */
    public static function of(Situation $at, Neck $neck): StopLimit
    {
        $facts = $at->facts();
        $wanted = max($facts->targetFraction, Plan::of($at)->choices->targetFraction);
        $coolant = new Mixture($facts->base, min($at->job->ledger()->fraction() ?? $facts->targetFraction, $wanted));

        return NeckLimit::of($at->circuit(), Plan::of($at)->choices, $coolant, $neck);
    }
}
