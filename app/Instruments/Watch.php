<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Journal\Recorder;
use App\Models\Feed;
use App\Models\Job;
use Aqbel\Core\Instruments\RunWatch;
use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Steps\StepCatalogue;

/** Looks at what has come in, and writes what of it counts under the name of whoever connected the instrument. */
final readonly class Watch
{
    /** So far apart, and no nearer, it looks: a danger stands within two seconds, ms. */
    private const EVERY_MS = 1_500;

    public function __construct(private Feed $feed)
    {
    }

    /** @return bool whether an engine is to be shut off now */
    public function look(int $nowMs): bool
    {
        $job = $this->feed->job;
        if ($nowMs - $this->feed->judged_at >= self::EVERY_MS) {
            $this->feed->update(['judged_at' => $nowMs]);
            $this->write($job, intdiv($nowMs, 1000));
        }

        return $job->refresh()->danger_since !== null;
    }

    private function write(Job $job, int $now): void
    {
        $at = self::running($job, $now);
        $since = $at === null ? null : RunWatch::since($at);
        if ($at === null || $since === null) {
            return;
        }
        $lines = RunWatch::of($at, SeriesStore::stretch($job->id, 1000 * $since, 1000 * $now + 999))->lines();
        foreach ($lines as $line) {
            try {
                (new Recorder($job, $this->feed->maker, "feed-{$this->feed->id}-{$job->id}"))->streamed($at->step->id, $line);
            } catch (InvalidField|InvalidFields) {
                // The step does not ask for that now; the points stay.
            }
        }
    }

    /** The step in hand, where its engine may run. */
    public static function running(Job $job, int $now): ?Situation
    {
        if ($job->stands()) {
            return null;
        }
        $state = $job->state();
        $step = $state->stepInHand();

        return $step !== null && app(StepCatalogue::class)->does($step, Does::RunsEngine) ? $state->at($step, $now) : null;
    }
}
