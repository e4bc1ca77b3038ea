<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Job\PortState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\EngineHeard;
use Aqbel\Core\Observed\Started;

/** An engine that by its instrument runs where none may: above an open drain, or on too little coolant. */
final readonly class HeardRunning
{
    public const CODE = 'runs_dry';

    private function __construct(public EngineHeard $heard, public string $why)
    {
    }

    public static function of(Situation $at): ?self
    {
        $heard = $at->latest(EngineHeard::class);
        // What somebody says was started is watched as a run.
        $told = $heard !== null && $at->latest(Started::class)?->isAfter($heard) === true;
        $why = $heard?->runs === true && ! $told ? self::mayNot($at) : null;

        return $heard === null || $why === null ? null : new self($heard, $why);
    }

    /** Why no engine may run as the circuit stands; null where one may, whoever started it. */
    public static function mayNot(Situation $at): ?string
    {
        foreach ($at->job->ports($at->now) as $id => $state) {
            $port = $at->circuit()->port($id);
            if ($port->kind === PortKind::Drain && $state !== PortState::Closed) {
                return "{$port->label} is open";
            }
        }
        $enough = EnoughToRun::of($at);

        return $enough->is ? null : "by the sums {$at->litres($enough->missingMl)} of coolant is missing";
    }
}
