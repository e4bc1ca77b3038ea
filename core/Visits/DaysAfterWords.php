<?php

declare(strict_types=1);

namespace Aqbel\Core\Visits;

use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Verdict;

/** What the days after say, in the reader's units. */
final class DaysAfterWords
{
    public static function of(DaysAfter $says, UnitSystem $units): Verdict
    {
        $volume = fn (float $ml): string => $units->format($ml, Dimension::Volume);
        $taken = match ($says->looks) {
            0 => 'Nobody has looked at the level.',
            1 => "Taken in 1 look: {$volume($says->takenMl)}.",
            default => "Taken in {$says->looks} looks: {$volume($says->takenMl)}.",
        };
        $code = $says->code->value;

        return match ($says->code) {
            DaysAfterCode::Closed => Verdict::pass($code, 'Closed', "The level stands still. {$taken}"),
            DaysAfterCode::StillToCome => Verdict::wait($code, "{$volume($says->stillToComeMl)} still to come",
                "Between {$volume($says->lowMl)} and {$volume($says->highMl)}: "
                    ."what is left of the air works out. {$taken} Look again in some days.",
            ),
            DaysAfterCode::TooFew => Verdict::wait(
                $code,
                'One look more tells',
                "{$taken} Whether it stands still shows at the next look: driven and cold again, and read by somebody of the shop.",
            ),
            DaysAfterCode::LeftBelow => Verdict::wait(
                $code,
                'Left below its mark',
                "What it would have taken nobody knows, so nothing tells air from a leak. {$taken} Bring it to the mark, "
                    .'cold, and write down how much went in.',
            ),
            DaysAfterCode::TooWeak => Verdict::stop(
                $code,
                'It freezes too early',
                'The mixture is weaker than it was filled: water was topped up, or what went in was weaker than its '
                    ."can says. {$taken} Read it once more; then draw off, and pour concentrate.",
            ),
            DaysAfterCode::Rises => Verdict::wait(
                $code,
                'Higher than it was left',
                'No coolant grows cold. Somebody topped it up, or gas pushes it up: '
                    ."ask, and test for combustion gas. {$taken}",
            ),
            DaysAfterCode::Leak => Verdict::stop(
                $code,
                'A leak',
                "It takes by the hour, about {$volume($says->leakMlPerDay)} a day, and that is no "
                    ."air. {$taken} Plan a job for coolant lost: pressure, joints, heater, oil.",
            ),
            DaysAfterCode::Both => Verdict::stop(
                $code,
                'Air, and a leak beside it',
                "About {$volume($says->leakMlPerDay)} a day goes besides what the air "
                    ."takes. {$taken} Plan a job for coolant lost.",
            ),
            DaysAfterCode::ComplaintAgain => Verdict::stop(
                $code,
                'The complaint is there again',
                "What the job was for has come back. {$taken} Plan a job on it.",
            ),
            DaysAfterCode::Alarmed => Verdict::stop(
                $code,
                'It alarmed on the road',
                'Heat, a lamp, steam or rough running since it was signed. Do not drive it, never open it hot. '
                    ."{$taken} Plan a job on it: the cause comes before anything is topped up.",
            ),
            DaysAfterCode::NotSeen => Verdict::stop(
                $code,
                'No coolant to be seen',
                "Do not drive it, and never open it hot. {$taken} Plan a job for coolant lost: "
                    .'where it went comes before filling it up.',
            ),
        };
    }

    /** What whoever plans the next job on the vehicle has to know; null where nothing is open. */
    public static function watch(?DaysAfterCode $code): ?string
    {
        return match ($code) {
            null, DaysAfterCode::Closed, DaysAfterCode::TooFew => null,
            DaysAfterCode::StillToCome => 'air was still working out in the days after',
            DaysAfterCode::LeftBelow => 'its level was left below the mark in the days after',
            DaysAfterCode::TooWeak => 'it freezes too early by the refractometer',
            DaysAfterCode::Rises => 'its level stood higher than it was left: test for combustion gas',
            DaysAfterCode::Leak => 'it loses coolant: a leak, by the days after',
            DaysAfterCode::Both => 'it loses coolant: a leak beside the air, by the days after',
            DaysAfterCode::ComplaintAgain => 'the complaint is there again',
            DaysAfterCode::Alarmed => 'it alarmed on the road',
            DaysAfterCode::NotSeen => 'no coolant was to be seen in the days after',
        };
    }
}
