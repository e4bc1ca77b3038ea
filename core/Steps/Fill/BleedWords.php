<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Fill;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\PointBled;
use Aqbel\Core\Judged\PointBledCode;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Saying\Verdict;

/** What a bleed point came to, in the reader's units. */
final class BleedWords
{
    public static function of(Situation $at, PointBled $bled): Verdict
    {
        $rule = Plan::of($at)->rules()->closeBleed->label();

        return match ($bled->code) {
            PointBledCode::StaysDry => Verdict::wait(
                $bled->code(),
                'Will not run',
                'It is closed without having run.'
                    .self::pocket($at)
                    .' The warm-ups must bring that out; it is kept as a watch for the next visit.',
            ),
            PointBledCode::NeverRan => Verdict::wait(
                $bled->code(),
                'Closed, not seen running',
                'Nobody saw it run: air may stand under it.',
            ),
            PointBledCode::RanTooEarly => Verdict::wait(
                $bled->code(),
                'It cannot run yet',
                "By the sums {$at->litres($bled->netInMl)} is in, and it runs "
                    ."at {$at->litres((float) $bled->expectedMl)}. A pour is not written down, "
                    .'or what runs is not the level.',
            ),
            PointBledCode::Closed => Verdict::pass(
                $bled->code(),
                'Closed',
                "Ran at {$at->litres($bled->netInMl)} in, closed {$rule}.".self::off($at, $bled),
            ),
            PointBledCode::ClosedUnwritten => Verdict::wait(
                $bled->code(),
                'Closed, nothing written yet',
                'It ran by your word; no pour is written down. '
                    .'The level at the mark asks for all of it, and no engine starts on less.',
            ),
            PointBledCode::CloseIt => Verdict::pass(
                $bled->code(),
                'Close it now',
                $bled->watchedSince === null ? "House rule: {$rule}." : 'A full minute without a bubble.',
            ),
            PointBledCode::Running => Verdict::wait(
                $bled->code(),
                'Running',
                'Watch the stream. Every bubble starts the minute again.',
            ),
            PointBledCode::ShouldRun => Verdict::wait(
                $bled->code(),
                'Should be running',
                "Predicted to run after {$at->litres((float) $bled->expectedMl)}, "
                    ."and {$at->litres($bled->netInMl)} is in. The point is blocked, or coolant is going "
                    .'elsewhere: look underneath.',
            ),
        };
    }

    /** Where it ran earlier or later than the model has it. */
    private static function off(Situation $at, PointBled $bled): string
    {
        $off = $bled->ranOffMl($at);
        $predicted = $at->litres((float) $bled->expectedMl);

        return match (true) {
            $off < 0.0 => " Predicted was {$predicted}: so early, air may have stayed below it. "
                .'The level at the mark tells how much.',
            $off > 0.0 => " Predicted was {$predicted}: so late, coolant went elsewhere first, or a pour was counted twice.",
            default => '',
        };
    }

    private static function pocket(Situation $at): string
    {
        $pocket = Plan::of($at)->fill->pockets[0] ?? null;

        return $pocket === null
            ? ''
            : ' The model has air at: '.$pocket->air->said($at->circuit()).'.';
    }
}
