<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\RunHot;

use Aqbel\Core\Heat\TopUpVerdict;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\WarmUp;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Cool\FunnelOff;
use Aqbel\Core\Steps\Cool\TopUpSeries;

/**
 * What is topped up at a neck that was never sealed, running or just shut off; and the cap that goes on at the end.
 * From then on the neck counts as sealed while warm.
 */
final class WarmTopUp
{
    public const CAPPED = 'capped';

    private const AT_LINE = 'at_line';

    /** As the school has it, unless the cap was shut before the start. */
    public static function by(Situation $at): WarmUp
    {
        $started = EngineStart::neck($at->last(EngineStart::FORM));

        $off = $at->job->lastOf('funnel_off', FunnelOff::OFF) !== null;
        $by = Plan::of($at)->school->warmUp();

        return $started === Neck::Sealed || ($by === WarmUp::UnderFunnel && $off) ? WarmUp::Usual : $by;
    }

    /** @return list<string> what to do besides what every warm-up asks */
    public static function instructions(Situation $at): array
    {
        return match (self::by($at)) {
            WarmUp::Usual, WarmUp::VentBetween => [],
            WarmUp::UnderFunnel => [
                'The funnel stays on. Keep its level up while it warms; watch the bubbles, blip the throttle.',
                'It comes off when it has cooled: what stands in it feeds the shrinkage.',
            ],
            WarmUp::OpenNeck => [
                'Cap off, heater hot, blower low. Keep it to the brim as it sinks, never with a hand over the neck.',
                'At operating temperature top up a last time, put the cap on with a rag and say so; then shut off.',
            ],
            WarmUp::LooseCap => [
                'The cap rests on the neck and is not turned tight. Run to temperature, then shut off.',
                'Rag and glasses, lift the cap, top up to the line, look underneath. Again, until it takes '
                    .'no more than the vessel can tell.',
            ],
        };
    }

    public static function capForm(): Form
    {
        return new Form(self::CAPPED, 'The cap is on and tight', [], false, closes: true);
    }

    public static function atLineForm(): Form
    {
        return new Form(self::AT_LINE, 'It stands at the line, nothing goes in');
    }

    /** How the neck stood, and stands since: a cap that went on warm is one that was sealed while warming. */
    public static function neck(Situation $at, ?Neck $started): ?Neck
    {
        // A funnel taken off hot leaves a cap on a hot neck.
        $hot = $started === Neck::Funnel && FunnelOff::leftItHot($at);

        return $at->has(self::CAPPED) || $hot ? Neck::Sealed : $started;
    }

    public static function isMissing(Situation $at): ?Obstacle
    {
        $by = self::by($at);

        return match (true) {
            in_array($by, [WarmUp::Usual, WarmUp::VentBetween, WarmUp::UnderFunnel], true) || ($at->has(self::CAPPED) && $at->has('shut_off')) => null,
            $by === WarmUp::LooseCap && ! self::wasLookedAt($at) => Obstacle::missing(
                'no_top_up',
                'Lift the resting cap with rag and glasses, and top up to the line or say that it stands there.',
            ),
            $by === WarmUp::LooseCap && ! self::hasSettled($at) => null,
            // How it stands has to be known: one that is tight and counts as loose would be opened hot.
            default => Obstacle::never(
                'not_capped',
                'Put the cap on and say so: from then on the neck is opened cold only.',
            ),
        };
    }

    /** Under a loose cap, after the run; null where the proofs decide. */
    public static function verdict(Situation $at): ?Verdict
    {
        if (self::by($at) !== WarmUp::LooseCap || ! $at->has('shut_off')) {
            return null;
        }
        if (! self::wasLookedAt($at) && $at->has(self::CAPPED)) {
            return Verdict::wait(
                'capped_early',
                'Capped too early',
                'Nobody looked at the level before the cap went on: it stays shut until it is cold. The cold '
                    .'level tells the rest.',
            );
        }
        if (! self::wasLookedAt($at)) {
            return Verdict::wait(
                'not_looked',
                'Look at the level',
                'What goes in now tells whether this was the last run. Rag and glasses.',
            );
        }
        $series = TopUpSeries::of($at);
        if ($series->verdict === TopUpVerdict::Leak || $series->verdict === TopUpVerdict::Both) {
            $each = $at->say($series->leakMlPerCycle, Unit::Millilitre);

            return Verdict::stop('not_air', 'Not air', "About {$each} goes each time and does not shrink: no "
                .'warm-up cures that.'
                .' Finish this step: the search for the leak comes next, with a test for combustion gas.');
        }
        if (self::hasSettled($at)) {
            return null;
        }
        $last = $at->say($at->sum('topped', 'volume'), Unit::Millilitre);
        $toCome = $series->verdict === TopUpVerdict::Air
            ? ', about '.$at->say($series->stillToComeMl, Unit::Millilitre).' still to come'
            : '';

        if ($at->has(self::CAPPED)) {
            return Verdict::wait(
                'capped_early',
                'Capped too early',
                "It took {$last}{$toCome}, and the cap is tight: it stays shut until it is cold. The cold level "
                    .'tells the rest.',
            );
        }

        return Verdict::wait(
            'another_warm_up',
            'Another warm-up',
            "It took {$last}{$toCome}. The cap stays loose; finish this step, the next run follows.",
        );
    }

    /** By all that went in during and after this run: “it stands at the line” says nothing after a litre. */
    private static function hasSettled(Situation $at): bool
    {
        return $at->sum('topped', 'volume') <= TopUpSeries::settledMl($at);
    }

    /** After it was shut off: what went in before says nothing of how it stands then. */
    private static function wasLookedAt(Situation $at): bool
    {
        $off = $at->last('shut_off');
        $seen = max($at->last('topped')->seq ?? 0, $at->last(self::AT_LINE)->seq ?? 0);

        return $off !== null && $seen > $off->seq;
    }
}
