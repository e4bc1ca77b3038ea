<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/** The kinds of line that any step may have, by the form they are stored under; every other line is its step's own. */
enum Lines: string
{
    case Finish = 'finish';

    /** Passed over, with a reason. */
    case Override = 'override';

    /** A caution read. */
    case Acknowledge = 'acknowledge';

    case Photo = 'photo';

    /** Something found. */
    case Finding = 'finding';

    /** Coolant that came out where nobody planned it. */
    case Outlet = 'outlet';

    /** Coolant poured on, where by the sums too little is inside to run an engine. */
    case Inlet = 'inlet';

    /** A point shut that still stood open. */
    case Shut = 'shut';

    /** By its instrument the engine runs, or is off again, at a step that knows of no run. */
    case Heard = 'heard';

    /** What was raised or pumped up for the work is down, or off, again. */
    case SetBack = 'set_back';

    /** Another way of going on. */
    case Replan = 'replan';

    /** Replaces the values of an earlier line. */
    case Correct = 'correct';

    /** Takes an earlier line back. */
    case Withdraw = 'withdraw';

    /** Whether it may stand at any step, whatever the step asks. */
    public function isAnyTime(): bool
    {
        return match ($this) {
            self::Finding, self::Outlet, self::Inlet, self::Shut, self::Heard, self::SetBack, self::Replan => true,
            default => false,
        };
    }

    /** Whether it says something of an earlier line, and nothing of its own. */
    public function changesAnother(): bool
    {
        return $this === self::Correct || $this === self::Withdraw;
    }
}
