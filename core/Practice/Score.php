<?php

declare(strict_types=1);

namespace Aqbel\Core\Practice;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\NeckAtRun;
use Aqbel\Core\Judged\StopLimitAtNeck;
use Aqbel\Core\Observed\HeldAtSpeed;
use Aqbel\Core\Observed\ShutOff;
use Aqbel\Core\Virtual\Trace;

/** What an exercise came to: by the journal that was written, and by the vehicle that was not there. */
final readonly class Score
{
    /** An engine is overheated this far past where it had to be shut off, K (common practice, no source). */
    private const TOO_HOT_K = 4.0;

    /** Whoever acts within so long of a clue has seen it, s (common practice, no source). */
    public const SOON_S = 90;

    /**
     * @param  bool  $wentRight  what was wrong was acted on, or what was right was proven, and nothing was overheated
     * @param  ?int  $clueAt  the first verdict that told of it stood there, Unix seconds; null where none did
     * @param  ?int  $actedAt  somebody shut off, revved it free or ended the test
     * @param  bool  $proven  the step it was about ended with a pass
     * @param  float  $airMl  left inside, by the vehicle
     */
    private function __construct(
        public bool $wentRight,
        public ?int $clueAt,
        public ?int $actedAt,
        public bool $proven,
        public ?float $hottestC,
        public ?float $limitC,
        public float $lostMl,
        public float $airMl,
        public int $minutes,
        public int $lines,
    ) {
    }

    /**
     * @param  int  $began  by the clock it was practised by, Unix seconds
     * @param  int  $before  lines that stood there already
     */
    public static function of(
        Exercise $exercise,
        JobState $job,
        Trace $truth,
        int $began,
        int $ended,
        int $before,
    ): self {
        $mine = array_values(array_filter($job->journal->lines, fn (Entry $line) => $line->seq > $before));
        $clue = $exercise->isSound() ? null : self::clue($exercise, $job, $mine);
        $acted = $clue === null ? null : self::actedAt($job, $mine, $clue);
        $run = $job->steps['heat_cycle:1'] ?? null;
        $at = $run === null ? null : $job->at($run, $ended);
        $limit = $at === null ? null : StopLimitAtNeck::of($at, NeckAtRun::orLikely($at))->limit->degC();
        $coolant = array_column($truth->channels['coolant_c'] ?? [], 1);
        $hottest = $coolant === [] ? null : max($coolant);
        $tooHot = $hottest !== null && $limit !== null && $hottest > $limit + self::TOO_HOT_K;
        $until = $job->steps[$exercise->until] ?? null;
        $proven
            = $until !== null && isset($job->closed[$until->id]) && ($job->verdictOf($until, $ended)?->passes() ?? true);

        return new self(
            ! $tooHot && ($exercise->isSound() ? $proven : $acted !== null),
            $clue?->at,
            $acted,
            $proven,
            $hottest,
            $limit,
            $truth->lostMl,
            array_sum($truth->airMl),
            intdiv($ended - $began, 60),
            count($mine),
        );
    }

    /** How long the clue stood before anybody acted, s; null where nobody did. */
    public function seenAfterS(): ?int
    {
        return $this->clueAt === null || $this->actedAt === null ? null : $this->actedAt - $this->clueAt;
    }

    /**
     * The first line after which a verdict told of what is wrong.
     *
     * @param  list<Entry>  $mine
     */
    private static function clue(Exercise $exercise, JobState $job, array $mine): ?Entry
    {
        foreach ($mine as $line) {
            $step = $job->steps[$line->step] ?? null;
            $then = $step === null || $line->closes() ? null : $job->upTo($line->seq)->verdictOf($step, $line->at);
            if ($then !== null && in_array($then->code, $exercise->shows, true)) {
                return $line;
            }
        }

        return null;
    }

    /** @param  list<Entry>  $mine */
    private static function actedAt(JobState $job, array $mine, Entry $clue): ?int
    {
        foreach ($mine as $line) {
            $acts = ShutOff::of($line) !== null || HeldAtSpeed::of($line) !== null || $line->closes();
            if ($line->seq >= $clue->seq && $acts && self::concerns($job->steps[$line->step] ?? null, $clue)) {
                return $line->at;
            }
        }

        return null;
    }

    private static function concerns(?Step $step, Entry $clue): bool
    {
        return $step !== null && $step->id === $clue->step;
    }
}
