<?php

declare(strict_types=1);

namespace App\Practice;

use App\Instruments\StandIn;
use App\Models\Feed;
use App\Models\Practice;
use Aqbel\Core\Practice\Score;

/** What an exercise came to: worked out once, when it is ended. */
final class Result
{
    /** @return array<string, mixed> */
    public static function of(Practice $practice): array
    {
        if ($practice->came_to === null) {
            $ended = now()->getTimestamp();
            $feed = Feed::query()->where('job_id', $practice->job_id)->oldest('id')->firstOrFail();
            $truth = (new StandIn($feed))->trace((float) max(0, $ended - $feed->created_at->getTimestamp()));
            $score = Score::of(
                $practice->exercise(),
                $practice->job->state(),
                $truth,
                $practice->begun_at,
                $ended,
                $practice->lines_before,
            );
            $practice->update([
                'ended_at' => $ended,
                'came_to' => [
                    'right' => $score->wentRight,
                    'clue_at' => $score->clueAt,
                    'seen_after_s' => $score->seenAfterS(),
                    'proven' => $score->proven,
                    'hottest_c' => $score->hottestC,
                    'limit_c' => $score->limitC,
                    'lost_ml' => $score->lostMl,
                    'air_ml' => $score->airMl,
                    'minutes' => $score->minutes,
                    'lines' => $score->lines,
                ],
            ]);
        }

        return (array) $practice->came_to;
    }
}
