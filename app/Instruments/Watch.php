<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Journal\Recorder;
use App\Models\Feed;
use App\Models\Job;
use Aqbel\Core\Instruments\ChannelKind;
use Aqbel\Core\Instruments\DriveWatch;
use Aqbel\Core\Instruments\HeardWatch;
use Aqbel\Core\Instruments\NeedleWatch;
use Aqbel\Core\Instruments\PressureWatch;
use Aqbel\Core\Instruments\Quiet;
use Aqbel\Core\Instruments\RunLine;
use Aqbel\Core\Instruments\RunWatch;
use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\WatchedBy;
use Aqbel\Core\Steps\StepCatalogue;

/** Looks at what has come in, and writes what of it counts under the name of whoever connected the instrument. */
final readonly class Watch
{
    /** So far apart, and no nearer, it looks while nothing is hot, ms. */
    private const EVERY_MS = 1_500;

    /**
     * From here on every batch is looked at: it may be the last that comes,
     * and no limit is lower, °C (common practice, no source).
     */
    private const HOT_C = 85.0;

    /** What was kept while a cable was out is looked at from so long ago on, s. */
    private const LONGEST_OUT_S = 3 * 3600;

    /** What comes all at once is looked at so often, s. */
    private const REPLAYS_S = 60;

    /** A needle is looked at over so long, s: a pull and a hold moment by moment, a pressure from its pumping on. */
    private const NEEDLE_S = 30;

    private const PRESSED_S = 600;

    public function __construct(private Feed $feed)
    {
    }

    /**
     * @param  array<string, array<int, float>>  $batch  what has just come, Unix ms and value by channel
     * @return bool whether an engine is to be shut off now
     */
    public function look(int $nowMs, array $batch): bool
    {
        $job = $this->feed->job;
        $oldest = min([$nowMs, ...array_merge(...array_map(array_keys(...), array_values($batch)))]);
        if ($oldest < $nowMs - 1000 * RunWatch::LOOKS_BACK_S) {
            $this->replay(
                max($oldest, $nowMs - 1000 * self::LONGEST_OUT_S),
                $nowMs,
                RunWatch::LOOKS_BACK_S - self::REPLAYS_S,
            );
        }
        if (self::isHot($batch) || $nowMs - $this->feed->judged_at >= self::EVERY_MS) {
            $this->lookNow($nowMs);
        }

        return Job::query()->whereKey($job->id)->whereNotNull('danger_since')->exists();
    }

    /** Before a person says something of a job: what its instruments had sent until then counts first. */
    public static function upToNow(Job $job): void
    {
        $unseen = Feed::query()
            ->sending()
            ->where('job_id', $job->id)
            ->whereColumn('last_ms', '>', 'judged_at')
            ->first();
        $unseen === null || (new self($unseen))->lookNow(now()->getTimestampMs());
    }

    private function lookNow(int $nowMs): void
    {
        $this->feed->update(['judged_at' => $nowMs, 'quiet' => null]);
        $at = self::stepNow($this->feed->job, intdiv($nowMs, 1000));
        if ($at === null || $this->write($at, [...$this->heard($at), ...$this->lines($at)])) {
            return;
        }
        $quiet = Quiet::of($at, self::by($at), $nowMs);
        $quiet === null || $this->feed->update(['quiet' => json_encode($quiet->toArray())]);
    }

    /** What was kept elsewhere and comes all at once: as if it had come minute by minute. */
    public function replay(int $fromMs, int $toMs, int $everyS = self::REPLAYS_S): void
    {
        $this->feed->update(['judged_at' => $toMs]);
        for ($now = intdiv($fromMs, 1000); $now <= intdiv($toMs, 1000) + $everyS - 1; $now += $everyS) {
            $at = self::stepNow($this->feed->job, min($now, intdiv($toMs, 1000)));
            $at === null || $this->write($at, $this->lines($at));
        }
    }

    /** @param  array<string, array<int, float>>  $batch */
    private static function isHot(array $batch): bool
    {
        return max([0.0, ...$batch[ChannelKind::Coolant->value] ?? [], ...$batch[ChannelKind::FarSide->value] ?? []])
            >= self::HOT_C;
    }

    /**
     * @param  list<RunLine>  $lines
     * @return bool whether anything of it counted
     */
    private function write(Situation $at, array $lines): bool
    {
        $job = $this->feed->job;
        $written = false;
        foreach ($lines as $line) {
            try {
                (new Recorder($job, $this->feed->maker, "feed-{$this->feed->id}-{$job->id}"))->streamed(
                    $at->step->id,
                    $line,
                );
                $written = true;
            } catch (InvalidField|InvalidFields) {
                // The step does not ask for that now; the points stay.
            }
        }

        return $written;
    }

    /** @return list<RunLine> */
    private function lines(Situation $at): array
    {
        $seen = fn (int $since): array => $this->seen($at, $since);
        $since = RunWatch::since($at);

        return match (self::by($at)) {
            WatchedBy::OnTheRoad => DriveWatch::lines($at, $seen($at->now - DriveWatch::LOOKS_BACK_S)),
            WatchedBy::Engine => $since === null ? [] : RunWatch::of($at, $seen($since))->lines(),
            WatchedBy::VacuumGauge => NeedleWatch::lines($at, $seen($at->now - self::NEEDLE_S)),
            WatchedBy::PressureGauge => PressureWatch::lines($at, $seen($at->now - self::PRESSED_S)),
            null => [],
        };
    }

    /** @return list<RunLine> of an engine that runs now, and that nobody said was started; what was is over */
    private function heard(Situation $at): array
    {
        return RunWatch::since($at) === null
            ? HeardWatch::lines($at, $this->seen($at, $at->now - HeardWatch::LOOKS_BACK_S))
            : [];
    }

    /** @return array<string, list<array{float, float}>> Unix seconds and value, by channel */
    private function seen(Situation $at, int $since): array
    {
        return SeriesStore::here()->stretch($this->feed->job_id, 1000 * $since, 1000 * $at->now + 999);
    }

    /** The step in hand, where something of it is watched. */
    public static function inHand(Job $job, int $now): ?Situation
    {
        $at = self::stepNow($job, $now);

        return $at !== null && self::by($at) !== null ? $at : null;
    }

    private static function stepNow(Job $job, int $now): ?Situation
    {
        if ($job->stands()) {
            return null;
        }
        $state = $job->state();
        $step = $state->stepInHand();

        return $step === null ? null : $state->at($step, $now);
    }

    private static function by(Situation $at): ?WatchedBy
    {
        return app(StepCatalogue::class)->of($at->step)->watchedBy();
    }

    /** Whether an engine may run at it. */
    public static function runs(Situation $at): bool
    {
        return in_array(self::by($at), [WatchedBy::Engine, WatchedBy::OnTheRoad], true);
    }

    /** The gauge that is read at it; null where none is. */
    public static function needle(Situation $at): ?ChannelKind
    {
        return match (self::by($at)) {
            WatchedBy::VacuumGauge => ChannelKind::Vacuum,
            WatchedBy::PressureGauge => ChannelKind::Pressure,
            default => null,
        };
    }
}
