<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\HeardRunning;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;

/** Nothing is gone on with beside an engine that runs where none may; where one is to run, it is to be said. */
final class HeardGate
{
    private const MUST_NOT = 'must_not_run';

    private const UNSAID = 'runs_unsaid';

    public static function verdict(Situation $at): ?Verdict
    {
        $runs = HeardRunning::of($at);
        $rpm = $runs?->heard->rpm === null ? '' : ', '.number_format($runs->heard->rpm).' a minute';

        return match (true) {
            $runs?->why !== null => Verdict::stop(
                self::MUST_NOT,
                'Shut the engine off',
                "{$runs->why}. It runs by its instrument{$rpm}.",
            ),
            $runs !== null && HeardRunning::isToRun($at) => Verdict::wait(
                self::UNSAID,
                'It runs',
                "By its instrument the engine runs{$rpm}. Say where, and how the neck stands: from then on it is watched.",
            ),
            default => null,
        };
    }

    /** @return list<Obstacle> */
    public static function obstacles(Situation $at): array
    {
        return HeardRunning::danger($at) === null
            ? []
            : [Obstacle::never('running', 'By its instrument the engine runs. Shut it off first.')];
    }
}
