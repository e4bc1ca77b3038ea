<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\PortState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\EngineHeard;
use Aqbel\Core\Observed\Started;

/**
 * An engine that by its instrument runs, and that nobody said was started: danger above an open drain, on too little
 * coolant and past its limit; where it is to be run anyway, only unsaid.
 */
final readonly class HeardRunning
{
    /** @param  ?string  $why  it is to be shut off now; null where it may run */
    private function __construct(public EngineHeard $heard, public ?string $why)
    {
    }

    /** Null where none is heard, and once somebody has said that it was started: then it is watched as a run. */
    public static function of(Situation $at): ?self
    {
        $heard = $at->latest(EngineHeard::class);
        $isSaid = $heard !== null && $at->latest(Started::class)?->isAfter($heard) === true;

        return $heard?->runs === true && ! $isSaid
            ? new self($heard, self::mayNot($at) ?? self::tooHot($at, $heard->coolantC))
            : null;
    }

    /** The same, where it is to be shut off now. */
    public static function danger(Situation $at): ?self
    {
        $heard = self::of($at);

        return $heard?->why === null ? null : $heard;
    }

    /** Why no engine may run as the circuit stands; null where one may, whoever started it. */
    public static function mayNot(Situation $at): ?string
    {
        foreach ($at->job->ports($at->now) as $id => $state) {
            $port = $at->circuit()->port($id);
            if ($port->kind === PortKind::Drain && $state !== PortState::Closed) {
                return "{$port->label} is open: pump or jackets run dry";
            }
        }
        $enough = EnoughToRun::of($at);

        // As long as nobody has said how full it is, it is as it came in.
        return $enough->is || $at->job->ledger()->lines === []
            ? null
            : "By the sums {$at->litres($enough->missingMl)} of coolant is missing: pump or jackets run dry";
    }

    /** Why none may run so hot; null where it may. */
    public static function tooHot(Situation $at, ?float $coolantC): ?string
    {
        $limitC = self::limitC($at);

        return $coolantC === null || $coolantC < $limitC
            ? null
            : "It is at {$at->degrees($coolantC)}, and {$at->degrees($limitC)} is its limit";
    }

    /** °C; under its cap, where nobody is to run it. */
    public static function limitC(Situation $at): float
    {
        $neck = self::isToRun($at) ? NeckAtRun::orLikely($at) : Neck::Sealed;

        return StopLimitAtNeck::of($at, $neck)->limit->degC();
    }

    /** Whether an engine is run at this step, and its start is to be said. */
    public static function isToRun(Situation $at): bool
    {
        return in_array(Started::class, $at->job->kinds->of($at->step)->observes(), true);
    }
}
