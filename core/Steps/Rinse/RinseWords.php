<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Rinse;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\OldCoolant;
use Aqbel\Core\Judged\RinseNeeded;
use Aqbel\Core\Judged\RinseNeededCode;
use Aqbel\Core\Observed\RinseDecided;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Verdict;

/** Whether it has to be rinsed, and why. */
final class RinseWords
{
    private const SEEN = [
        'rusty' => 'Rust came out.', 'oily' => 'Oil came out: flush until no film is left.',
        'gel' => 'Gel came out: two coolants that must never meet.', 'debris' => 'Debris came out.',
    ];

    /** A rinse that leaves more of the old than this is one too many: more has to come out first. */
    private const MOST = 0.5;

    public static function of(Situation $at, RinseNeeded $needed): Verdict
    {
        $decided = $at->latest(RinseDecided::class);
        $share = $at->say($needed->oldShare, Unit::Percent);
        $mixes = $decided?->staysCold === true ? RinseWater::COLD_MIXES : 1.0;
        $after = fn (int $times): string => $at->say($needed->after($times, $mixes), Unit::Percent);

        return match ($needed->code) {
            RinseNeededCode::Chosen => Verdict::pass(
                $needed->code(),
                'Rinse chosen',
                "Not asked for by what came out. After it {$after($decided->times ?? 1)} of the old coolant is left.",
            ),
            RinseNeededCode::MuchStays => Verdict::wait(
                $needed->code(),
                'Much of the old stays',
                "This is a change, and {$share} of the full circuit "
                    .'would be old coolant. One more drain or one rinse brings it '
                    ."to {$after(1)}; or say that it may stay.",
            ),
            RinseNeededCode::NotNeeded => Verdict::pass(
                $needed->code(),
                'No rinse needed',
                $needed->target === null
                    ? self::reason($at)
                    : "{$share} of the full circuit would be old "
                        ."coolant; {$at->say($needed->target, Unit::Percent)} may stay. The drain alone does it.",
            ),
            RinseNeededCode::Needed => self::needed($at, $needed, $decided),
        };
    }

    private static function needed(Situation $at, RinseNeeded $needed, ?RinseDecided $decided): Verdict
    {
        if ($decided?->flows === true) {
            return Verdict::wait(
                $needed->code(),
                'Rinse with running water',
                self::reason($at).' Cold, it mixes only where water runs: '.RinseFlow::leaves($at),
            );
        }
        $leavesMost = $needed->after(1) > self::MOST * $needed->oldShare;
        if ($leavesMost && $needed->chain->rinses > RinseDecided::MOST_TIMES) {
            return Verdict::wait(
                $needed->code(),
                'Let more of it out first',
                self::reason($at)." {$at->say($needed->oldShare, Unit::Percent)} of the full circuit would be old "
                    .'coolant, and each rinse takes out no more than the drain does: open another point, or the same '
                    .'once more.',
            );
        }
        $isCold = $decided?->staysCold === true;
        $times = $decided === null || $decided->skips ? $needed->chain->rinses : $decided->times;
        $after = $at->say($needed->after($times, $isCold ? RinseWater::COLD_MIXES : 1.0), Unit::Percent);
        $if = $isCold ? '' : ', if the thermostat opens each time';

        return Verdict::wait(
            $needed->code(),
            "{$times} × rinse",
            self::reason($at)
                ." After {$times} it is {$after}{$if}."
                .($times < $needed->chain->rinses ? " It takes {$needed->chain->rinses} to bring it down far enough." : '')
                .($isCold ? ' Cold, it mixes about half.' : ''),
        );
    }

    /** What speaks for a rinse or against it: what was seen, or what the job is. */
    public static function reason(Situation $at): string
    {
        $coolant = OldCoolant::of($at->job);

        return self::SEEN[$coolant->seen()] ?? (
            $coolant->gelsInTheJar() ? 'In the jar the two set to gel.' : Plan::of($at)->choices->content->reason()
        );
    }
}
