<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Heat\Purging;
use Aqbel\Core\Plan\Groundwork;
use Aqbel\Core\Plan\PredictedFill;

/** What the schools share that pour, and then work the air out by warm-ups until one of them brings nothing more. */
abstract class Purged extends Poured
{
    /** The fill's air less what one warm-up works out. */
    public function predict(Groundwork $on): PredictedFill
    {
        return parent::predict($on)->leaving(Purging::leftByCycle($on->choices->rules->purgingFactor));
    }

    /** Each warm-up but the last brings air out; that one shows that nothing more comes. */
    public function heatCycles(PredictedFill $fill, float $limitMl, float $timesUsual = 1.0): int
    {
        return 1 + parent::heatCycles($fill, $limitMl, $timesUsual);
    }

    public function runs(): bool
    {
        return true;
    }
}
