<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Situation;

/** Where one amount was told too roughly for the sums to say what is inside: which one, and what would settle it. */
final class HangsOn
{
    /**
     * Empty where no amount was, or where even the worst of it does not explain what is off.
     *
     * @param  float  $offMl  by which the sums are off, mL
     */
    public static function oneNumber(Situation $at, float $offMl): string
    {
        $ledger = $at->job->ledger();
        $line = $ledger->hangsOn();

        if ($line === null || abs($offMl) > $ledger->trappedAirToldWithinMl()) {
            return '';
        }

        return " “{$line->label}” was told as {$at->litres(abs($line->ml))} ± {$at->litres($line->toldWithinMl())}, "
            .'and that alone may be it: '
            .match (true) {
                $line->lost => 'nobody can read that any more, so the cold level and what it takes will show it.',
                $line->ml < 0.0 => 'read it by the marks of a vessel, and put that line right.',
                default => 'read what is left of what it was poured from, and put that line right.',
            };
    }
}
