<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Ledger\Ledger;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Observed\CameBack;
use Aqbel\Core\Observed\RestKept;

/**
 * More than fits never passes: content above the capacity, less than nothing inside, more poured than was mixed, more
 * left over than there was.
 */
final readonly class Sums
{
    /**
     * A batch is read in the marks of its bucket; what is poured
     * from it in those of a jug (common practice, no source).
     */
    private const BATCH_OFF = 0.05;

    private const MARK_ML = 200.0;

    /**
     * @param  float  $isMl  what the sum comes to
     * @param  float  $mostMl  what it can come to
     * @param  float  $leftMl  said to be left over, where that is too much
     * @param  list<Line>  $lines  of which one is wrong, the likeliest first
     */
    private function __construct(
        public WrongSum $code,
        public float $isMl,
        public float $mostMl = 0.0,
        public float $leftMl = 0.0,
        public array $lines = [],
    ) {
    }

    /** Null where all of it can be. */
    public static function wrong(Situation $at): ?self
    {
        return self::wrongInside($at) ?? self::batch($at);
    }

    /** What cannot be of what came out and went in; null where all can. */
    public static function wrongInside(Situation $at): ?self
    {
        // What a later pour has covered up cannot have been either: the sums as each stage left them.
        foreach ([Stage::Rinse, Stage::CloseUp, Stage::Fill] as $stage) {
            $ledger = $at->job->ledgerBefore($stage);
            $wrong = $ledger->lines === [] ? null : self::content($at, $ledger);
            if ($wrong !== null) {
                return $wrong;
            }
        }

        $wrong = self::back($at->job) ?? self::content($at, $at->job->ledger());

        // What went in since, and is not there, has gone: a leak is no wrong number.
        return $wrong?->code === WrongSum::MoreThanFits && Gone::of($at->job)?->isBelievable === true ? null : $wrong;
    }

    private static function content(Situation $at, Ledger $ledger): ?self
    {
        $plusMinus = $ledger->trappedAirToldWithinMl();
        $known = array_filter($ledger->lines, fn (Line $line) => $line->old >= 1.0) !== [];
        $most = $ledger->capacityMl + $plusMinus + InFunnel::mayStandMl($at->job);
        $least = $known ? -$plusMinus : -INF;

        return match (true) {
            $ledger->contentMl > $most => new self(
                WrongSum::MoreThanFits,
                $ledger->contentMl,
                $ledger->capacityMl,
                lines: self::likeliest($ledger->lines, $least, $most),
            ),
            $ledger->contentMl < $least => new self(
                WrongSum::LessThanNothing,
                $ledger->contentMl,
                lines: self::likeliest($ledger->lines, $least, $most),
            ),
            default => null,
        };
    }

    /** What is left in jug, hose or funnel was poured first. */
    private static function back(JobState $job): ?self
    {
        $told = $job->observedAnywhere(CameBack::class);
        $left = array_sum(array_map(fn (CameBack $back) => (float) $back->leftMl, $told));
        $poured = $job->pouredMl();

        return $left <= $poured + max(self::MARK_ML, self::BATCH_OFF * $poured) ? null : new self(
            WrongSum::MoreBackThanPoured,
            $left,
            $poured,
            lines: self::bySize([
                new Line('Left in jug, funnel and hose', $left, 0.0, null),
                ...array_filter($job->ledger()->lines, fn (Line $line) => $line->fromBatch && $line->ml > 0.0),
            ]),
        );
    }

    private static function batch(Situation $at): ?self
    {
        $batch = Bucket::batch($at->job)->ml;
        $poured = Bucket::pouredMl($at->job);
        $left = array_sum(array_map(
            fn (RestKept $kept) => $kept->shelfMl + $kept->customerMl,
            $at->job->observedAnywhere(RestKept::class),
        ));
        $plusMinus = max(self::MARK_ML, self::BATCH_OFF * $batch);
        if ($batch <= 0.0 || $poured + $left <= $batch + $plusMinus) {
            return null;
        }
        $tooMuchLeft = $left > 0.0 && $poured <= $batch + $plusMinus;
        $lines = self::bySize([
            ...$tooMuchLeft ? [new Line('Left over', $left, 0.0, null)] : [],
            ...array_map(
                fn (Step $step) => new Line('Batch mixed', Bucket::batch($at->job, $step)->ml, 0.0, null),
                $at->job->stepsOf('mix'),
            ),
            ...array_filter($at->job->ledger()->lines, fn (Line $line) => $line->fromBatch),
        ]);

        return $tooMuchLeft
            ? new self(WrongSum::MoreLeftThanWas, $poured, $batch, $left, $lines)
            : new self(WrongSum::MorePouredThanMixed, $poured, $batch, lines: $lines);
    }

    /**
     * The line with which it went wrong, and that for as long as it has been; then the largest.
     *
     * @param  list<Line>  $lines
     * @return list<Line>
     */
    private static function likeliest(array $lines, float $leastMl, float $mostMl): array
    {
        [$content, $turned] = [0.0, null];
        foreach ($lines as $line) {
            $content += $line->ml;
            $turned = $content > $mostMl || $content < $leastMl ? $turned ?? $line : null;
        }
        // What only went through is told without a ±: it comes to nothing.
        $others = array_filter($lines, fn (Line $line) => $line !== $turned && $line->toldWithinMl() > 0.0);

        return [...array_filter([$turned]), ...self::bySize($others)];
    }

    /**
     * @param  array<Line>  $lines
     * @return list<Line> the largest first, without those of nothing
     */
    private static function bySize(array $lines): array
    {
        $lines = array_filter($lines, fn (Line $line) => $line->ml !== 0.0);
        usort($lines, fn (Line $a, Line $b) => abs($b->ml) <=> abs($a->ml));

        return $lines;
    }
}
