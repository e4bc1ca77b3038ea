<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Drain;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Observed\CameOut;

/** What came out another way than through a drain point, in the one balance over all of it. */
final class Elsewhere
{
    /** @return list<Line> */
    public static function lines(Situation $at, Entry $entry): array
    {
        $out = CameOut::of($entry);

        return $out === null || $out->ml() <= 0.0 ? [] : [new Line("Out: {$out->label()}", -$out->ml(), $out->plusMinusMl($at), null)];
    }

    /** @return array<string, float> mL that came out of a part another way than down to a drain, by part */
    public static function byPart(JobState $job): array
    {
        $parts = [];
        foreach (self::upToTheDrains($job) as $out) {
            if ($out->part !== null) {
                $parts[$out->part] = ($parts[$out->part] ?? 0.0) + $out->ml();
            }
        }

        return $parts;
    }

    /** @return list<CameOut> before and while it was drained, in the order it was told */
    public static function upToTheDrains(JobState $job): array
    {
        $told = [];
        foreach ($job->entries as $entry) {
            $step = $job->steps[$entry->step] ?? null;
            $out = $step !== null && $step->stage->value <= Stage::Drain->value ? CameOut::of($entry) : null;
            $told = $out === null ? $told : [...$told, $out];
        }

        return $told;
    }
}
