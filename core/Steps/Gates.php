<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;

/** What stands in the way of every kind of step alike, before what its own numbers mean. */
final class Gates
{
    public static function verdict(Situation $at, StepKind $kind): ?Verdict
    {
        $heard = HeardGate::verdict($at);
        if ($heard !== null) {
            return $heard;
        }
        $sums = SumsGate::of($at, $kind);
        if ($sums !== null && ! $kind->does(Does::RunsEngine)) {
            return $sums->verdict();
        }
        $judged = $kind->judge($at);

        // What has shown a danger says so, whatever the sums are and stands open besides; and what has not passed, whatever
        // is set up.
        return match (true) {
            $judged?->stops() === true => $judged,
            $sums !== null => $sums->verdict(),
            $judged?->passes() === false => OpenPoints::verdict($at, $kind) ?? $judged,
            default => OpenPoints::verdict($at, $kind) ?? SetUpGate::verdict($at, $kind) ?? $judged,
        };
    }

    /** @return list<Obstacle> */
    public static function obstacles(Situation $at, StepKind $kind): array
    {
        $sums = SumsGate::of($at, $kind);

        return [
            ...HeardGate::obstacles($at),
            ...$sums === null ? [] : [$sums->obstacle()],
            ...OpenPoints::obstacles($at, $kind),
            ...SetUpGate::obstacles($at, $kind),
            ...$kind->obstacles($at),
        ];
    }
}
