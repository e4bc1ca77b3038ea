<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Vacuum;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\PressureHeld;
use Aqbel\Core\Judged\PressureHeldCode;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Verdict;

/** What a pressure test came to, in the reader's units. */
final class PressureWords
{
    /** Null while it is held. */
    public static function of(Situation $at, PressureHeld $held): ?Verdict
    {
        $fall = $at->say($held->fellKpa(), Dimension::Pressure);

        return match ($held->code) {
            PressureHeldCode::Holding => null,
            PressureHeldCode::Declined => Verdict::wait($held->code(), 'Not done', $held->why),
            PressureHeldCode::NoTest => Verdict::wait(
                $held->code(),
                'No test yet',
                "{$at->say($held->startKpa, Dimension::Pressure)} is too little to show a weep: pump "
                    ."to {$at->say(PressureHeld::askedKpa($at), Dimension::Pressure)}, "
                    .'never above the cap rating, and look at the unit.',
            ),
            PressureHeldCode::Falls => Verdict::stop(
                $held->code(),
                "Falls {$fall}",
                'Look for the drip: drains just used, clamps, the repair.',
            ),
            PressureHeldCode::Lost => Verdict::stop(
                $held->code(),
                'Lost',
                "A fall of {$fall}: half of it or more is gone. Look for the drip: "
                    .'drains just used, clamps, the repair.',
            ),
            PressureHeldCode::Warm => Verdict::wait(
                $held->code(),
                'Held warm',
                ($held->isWarmOfUse()
                    ? "A fall of {$fall} in two minutes at {$at->degrees((float) $held->coolantC)} is no burst and "
                        .'nothing that heat opens.'
                    : "At {$at->degrees((float) $held->coolantC)} it says something after two minutes, "
                        .'and no longer than that.')
                    .' It cools while it is held and a weep hides in that: press it once more when it is cold.',
            ),
            PressureHeldCode::TooShort => Verdict::wait(
                $held->code(),
                'Too short',
                'It holds, but a weep needs five minutes to show.',
            ),
            PressureHeldCode::NotSoLong => Verdict::wait(
                $held->code(),
                'Not so long',
                'By the journal it was held for '
                    .max(0, (int) floor($held->heldS / 60.0))
                    .' min at the most. Hold it five minutes, by its clock.',
            ),
            PressureHeldCode::Holds => Verdict::pass(
                $held->code(),
                'Holds',
                "A fall of {$fall} is hoses giving. No loss above "
                    ."{$at->amount($held->boundMlPerMinute)} a minute.",
            ),
        };
    }
}
