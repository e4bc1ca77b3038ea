<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Heat\TopUps;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\Gone;

/** Why what a level took is no air, in words: it does not shrink, or the sums know before it could show. */
final class GoesOut
{
    public static function why(Situation $at, float $tookMl, TopUps $series, ?Gone $gone): string
    {
        return $gone === null
            ? "About {$at->amount($series->leakMlPerCycle)} goes each time and does not shrink."
            : "It took {$at->amount($tookMl)}, and by the sums {$at->litres($gone->ml)} ± "
                ."{$at->litres($gone->plusMinusMl)} more went in since the fill than was missing: it goes out where "
                .'nobody sees it, or a number is wrong.';
    }
}
