<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\RunHot;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\NeckAtRun;
use Aqbel\Core\Judged\WarmLevel;
use Aqbel\Core\Judged\WarmLevelCode;
use Aqbel\Core\Observed\Capped;
use Aqbel\Core\Observed\ShutOff;
use Aqbel\Core\Plan\WarmUp;
use Aqbel\Core\Saying\Obstacle;

/** What is topped up at a neck that was never sealed, running or just shut off, and the cap that goes on at the end. */
final class WarmTopUp
{
    /** @return list<string> what to do besides what every warm-up asks */
    public static function instructions(Situation $at): array
    {
        return match (NeckAtRun::warmUp($at)) {
            WarmUp::Usual, WarmUp::VentBetween => [],
            WarmUp::UnderFunnel => [
                'The funnel stays on. Keep its level up while it warms; watch the bubbles, blip the throttle.',
                'It comes off when it has cooled: what stands in it feeds the shrinkage.',
            ],
            WarmUp::OpenNeck => [
                ($at->circuit()->hasHeater() ? 'Cap off, heater hot, blower low.' : 'Cap off.')
                .' Keep it to the brim as it sinks, never with a hand over the neck.',
                'At operating temperature top up a last time, put the cap on with a rag and say so; then shut off.',
            ],
            WarmUp::LooseCap => [
                'The cap rests on the neck and is not turned tight. Run to temperature, then shut off.',
                'Rag and glasses, lift the cap, top up to the line, look underneath. Again, until it takes '
                    .'no more than the vessel can tell.',
            ],
        };
    }

    public static function isMissing(Situation $at): ?Obstacle
    {
        $by = NeckAtRun::warmUp($at);
        $level = WarmLevel::of($at);
        $capped = $at->observed(Capped::class) !== [] && $at->observed(ShutOff::class) !== [];

        return match (true) {
            in_array($by, [WarmUp::Usual, WarmUp::VentBetween, WarmUp::UnderFunnel], true) || $capped => null,
            $by === WarmUp::LooseCap && $level?->lookedAt !== true => Obstacle::missing(
                'no_top_up',
                'Lift the resting cap with rag and glasses, and top up to the line or say that it stands there.',
            ),
            $by === WarmUp::LooseCap && $level->code !== WarmLevelCode::Settled => null,
            // How it stands has to be known: one that is tight and counts as loose would be opened hot.
            default => Obstacle::never(
                'not_capped',
                'Put the cap on and say so: from then on the neck is opened cold only.',
            ),
        };
    }
}
