<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\LikelySlip;
use Aqbel\Core\Judged\SlipKind;

/** Which number it looks like, where one alone would be what is off, and what it would have been. */
final class Perhaps
{
    /**
     * Empty where the sums of a circuit whose level stands at its mark hang on no one number. Where coolant is missing, a
     * number that is right means air.
     */
    public static function oneSlipped(Situation $at): string
    {
        $asked = self::ask($at, LikelySlip::atTheMark($at));

        return $asked === '' || $at->job->ledger()->trappedAirMl() <= 0.0
            ? $asked
            : "{$asked} If it is right as it stands, that much is air.";
    }

    /** Empty where what drains gave is no slip of what was predicted; of all, or of one and those it ran with. */
    public static function aDrainSlipped(Situation $at, ?Step $one = null): string
    {
        return self::ask($at, LikelySlip::ofDrains($at, $one)[0] ?? null);
    }

    private static function ask(Situation $at, ?LikelySlip $slip): string
    {
        if ($slip === null) {
            return '';
        }
        [$told, $was] = [$at->litres(abs($slip->line->ml)), $at->litres(abs($slip->wasMl))];

        return " “{$slip->line->label} {$told}”: ".match ($slip->kind) {
            SlipKind::ATenth, SlipKind::TenTimes => "was it {$was}?",
            SlipKind::Twice => 'does it stand there twice?',
            SlipKind::Gallons => "were these gallons told as litres, {$was}?",
            SlipKind::Litres => "were these litres told as gallons, {$was}?",
        }.' That alone would account for it.';
    }
}
