<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Models\Feed;
use App\Models\Job;
use Aqbel\Core\Instruments\ChannelKind;
use Aqbel\Core\Instruments\ScaleRead;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;

/** The bucket of a job on a scale, beside the step in hand. */
final class Scale
{
    /** No bucket stands longer on it, ms. */
    private const LONGEST_MS = 7_200_000;

    /** Whether one sends at all. */
    public static function isThere(Job $job): bool
    {
        return Feed::query()
            ->sending()
            ->where('job_id', $job->id)
            ->whereExists(
                fn ($series) => $series
                    ->selectRaw('1')
                    ->from('series')
                    ->whereColumn('series.feed_id', 'feeds.id')
                    ->where('channel', ChannelKind::Weight->value),
            )
            ->exists();
    }

    /**
     * @param  ?int  $zeroedMs  since when somebody wants it weighed, Unix ms
     * @return ?array{kg: string, takes?: string, value?: string, still?: bool} null where nothing was weighed lately
     */
    public static function now(Job $job, UnitSystem $units, int $nowMs, ?int $zeroedMs): ?array
    {
        $state = $job->state();
        $step = $state->stepInHand();
        if ($step === null || $job->stands()) {
            return null;
        }
        $points
            = SeriesStore::here()->stretch($job->id, $nowMs - self::LONGEST_MS, $nowMs + 1_000)[ChannelKind::Weight->value] ?? [];
        $read = ScaleRead::of(
            $state->at($step, intdiv($nowMs, 1000), $units),
            $points,
            $zeroedMs === null ? null : $zeroedMs / 1000.0,
        );

        // A bucket that is lifted off has let nothing out of the circuit.
        $isTaken = $read !== null && ($read->came || $step->stage !== Stage::Drain);

        return $read === null
            ? null
            : ['kg' => number_format($read->kg, 2).' kg']
                    + (! $isTaken
                        ? []
                        : [
                            'takes' => $units->format($read->ml, Dimension::Volume),
                            'value' => $units->format($read->ml, Dimension::Volume, false),
                            'still' => $read->isStill,
                        ]);
    }
}
