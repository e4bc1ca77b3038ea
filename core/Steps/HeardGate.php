<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\HeardRunning;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;

/** Nothing is gone on with beside an engine that runs where none may. */
final class HeardGate
{
    public static function verdict(Situation $at): ?Verdict
    {
        $runs = HeardRunning::of($at);
        $rpm = $runs?->heard->rpm === null ? '' : ', '.number_format($runs->heard->rpm).' a minute';

        return $runs === null ? null : Verdict::stop(
            HeardRunning::CODE,
            'Shut the engine off',
            ucfirst("{$runs->why}: pump or jackets run dry. It runs by its instrument{$rpm}."),
        );
    }

    /** @return list<Obstacle> */
    public static function obstacles(Situation $at): array
    {
        return HeardRunning::of($at) === null
            ? []
            : [Obstacle::never('running', 'By its instrument the engine runs. Shut it off first.')];
    }
}
