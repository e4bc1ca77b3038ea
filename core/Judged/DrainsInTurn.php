<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Circuit\Volumes;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Observed\CameOut;
use Aqbel\Core\Observed\ContentFound;
use Aqbel\Core\Observed\DrainOpened;
use Aqbel\Core\Observed\DrainRan;
use Aqbel\Core\Observed\Flowed;
use Aqbel\Core\Observed\LeftShut;
use Aqbel\Core\Plan\Plan;

/** The drain points as they were really opened: which, in which order, and what each of them should have given. */
final class DrainsInTurn
{
    private const KIND = 'drain';

    /** @return list<DrainRan> what one point gave */
    public static function ran(JobState $job, Step $drain): array
    {
        return $job->observed($drain->id, DrainRan::class);
    }

    public static function outMl(JobState $job, Step $drain): float
    {
        return DrainRan::sumMl(self::ran($job, $drain));
    }

    /** Next to nothing came, so what stands above the point is still there. */
    public static function blocked(JobState $job, Step $drain): bool
    {
        $ran = self::ran($job, $drain);

        return $ran !== [] && $ran[count($ran) - 1]->flow === Flowed::Blocked;
    }

    /** It ran until nothing more came. */
    public static function ranOut(JobState $job, Step $drain): bool
    {
        $ran = self::ran($job, $drain);

        return $ran !== [] && $ran[count($ran) - 1]->flow === Flowed::Ran;
    }

    /** Whether a point was not opened, and is not said to be open or to have given anything. */
    public static function isLeftShut(JobState $job, Step $drain): bool
    {
        return $job->observed($drain->id, LeftShut::class) !== []
            && $job->observed($drain->id, DrainOpened::class) === [] && self::ran($job, $drain) === [];
    }

    /**
     * What stands above points that were left shut, of a circuit found at its
     * mark, less what came out another way in their place; mL.
     */
    public static function keptByShutMl(JobState $job): float
    {
        $steps = $job->stepsOf(self::KIND);
        $shut = array_filter($steps, fn (Step $step) => self::isLeftShut($job, $step));
        if ($shut === []) {
            return 0.0;
        }
        $planned = array_sum(array_map(fn (Step $step) => (float) $step->params->number('predicted_ml'), $steps));
        $opened = array_sum(self::predictedInTurn($job));
        $elsewhere = array_sum(array_column(self::elsewhere($job), 1));
        // What the points that were opened had to give the less for it is not counted twice.
        $instead = max(0.0, $opened - array_sum(self::expectedMl($job)) - self::missingMl($job));

        return max(0.0, $planned - $opened - max(0.0, $elsewhere - $instead));
    }

    /** What was missing at the top when it was found, mL. */
    private static function missingMl(JobState $job): float
    {
        $ledger = $job->ledger();
        // What came out another way before the first point is opened is counted with the rest of it.
        $came = array_filter(
            self::cameOut($job),
            fn (CameOut $out) => $job->steps[$out->told()->step]->stage->value < Stage::Drain->value,
        );
        $found
            = $job->ledgerBefore(Stage::Drain)->contentMl + array_sum(array_map(fn (CameOut $out) => $out->ml(), $came));

        return $job->observedAnywhere(ContentFound::class) === []
            ? 0.0
            : max(0.0, $ledger->capacityMl - $ledger->headspaceMl - $found);
    }

    /**
     * The points that ran at the same time as this one, and this one; it alone where it ran by itself.
     *
     * @return list<Step> in the order of the plan
     */
    public static function together(JobState $job, Step $drain): array
    {
        return ! self::ranTogether($job, $drain)
            ? [$drain]
            : array_values(array_filter($job->stepsOf(self::KIND), fn (Step $step) => self::ranTogether($job, $step)));
    }

    /** Whether it ran together with points that nobody has read yet. */
    public static function waitsForOthers(JobState $job, Step $drain): bool
    {
        return self::ranTogether($job, $drain) && self::unread($job) !== [];
    }

    /** Whether another point that ran with others has been read: what a point gave may be in its figure. */
    public static function ranWithOthers(JobState $job, Step $drain): bool
    {
        return array_filter(
            $job->stepsOf(self::KIND),
            fn (Step $step) => $step->id !== $drain->id && self::ranTogether($job, $step),
        ) !== [];
    }

    /** Whether what this point gave stands in the figure of another. */
    public static function isInAnothers(JobState $job, Step $drain): bool
    {
        return array_filter(self::ran($job, $drain), fn (DrainRan $ran) => $ran->inAnothers) !== [];
    }

    /** Whether there are points that nobody has read yet, and that may run beside this one. */
    public static function mayRunBeside(JobState $job, Step $drain): bool
    {
        return array_filter(self::unread($job), fn (Step $step) => $step->id !== $drain->id) !== [];
    }

    /** @return list<Step> points that are still to be read */
    private static function unread(JobState $job): array
    {
        $unread = fn (Step $step): bool => self::ran($job, $step) === []
            && ! self::isLeftShut($job, $step)
            && ! isset($job->closed[$step->id]);

        return array_values(array_filter($job->stepsOf(self::KIND), $unread));
    }

    private static function ranTogether(JobState $job, Step $drain): bool
    {
        return array_filter(self::ran($job, $drain), fn (DrainRan $ran) => $ran->withOthers) !== [];
    }

    /**
     * What each point should give after those opened before it, in whichever order: predicted for a circuit full to its
     * mark, less what was missing at the top, and less what came out another way in its place.
     *
     * @return array<string, float> mL by step
     */
    public static function expectedMl(JobState $job): array
    {
        return $job->once(__METHOD__, fn () => self::workOutExpected($job));
    }

    /** @return array<string, float> */
    private static function workOutExpected(JobState $job): array
    {
        [$missing, $elsewhere, $expected] = [self::missingMl($job), self::elsewhere($job), []];
        foreach (self::predictedInTurn($job) as $id => $predicted) {
            $step = $job->steps[$id];
            $ran = self::ran($job, $step);
            [$before, $elsewhere] = self::toldBefore($elsewhere, $ran[0] ?? null);
            $missing += $before;
            $expected[$id] = max(0.0, $predicted - $missing);
            $missing -= self::blocked($job, $step) ? 0.0 : min($missing, $predicted);
            // What came out another way after it had given too little is what it did not give.
            $short = $ran === [] ? 0.0 : max(0.0, $expected[$id] - DrainRan::sumMl($ran));
            [$instead, $elsewhere] = self::take($elsewhere, $short);
            $expected[$id] -= $instead;
        }

        return $expected;
    }

    /**
     * The least and the most that can run out at a point of several that run together, of a circuit found full: what no
     * other of them lets out, and all that stands above it; mL.
     *
     * @return array{float, float}
     */
    public static function boundsMl(JobState $job, Step $drain): array
    {
        $all = array_values(array_filter($job->stepsOf(self::KIND), fn (Step $step) => ! self::isLeftShut($job, $step)));
        $others = array_filter($all, fn (Step $step) => $step->id !== $drain->id);

        return [
            max(0.0, self::drainedMl($job, $all) - self::drainedMl($job, $others)),
            self::drainedMl($job, [$drain]),
        ];
    }

    /** What a full circuit keeps where this point alone runs dry. */
    public static function keeps(JobState $job, Step $drain): Volumes
    {
        return self::drainage($job, [$drain])->retained;
    }

    /**
     * What these points let out of a full circuit, mL.
     *
     * @param  array<Step>  $drains
     */
    private static function drainedMl(JobState $job, array $drains): float
    {
        return $drains === [] ? 0.0 : self::drainage($job, $drains)->drainedMl;
    }

    /** @param  array<Step>  $drains  of a full circuit, in the order they are opened */
    private static function drainage(JobState $job, array $drains): Drainage
    {
        $ports = array_map(fn (Step $step) => $step->params->text('port'), array_values($drains));

        return Drainage::usual($job->circuit, $ports, Plan::of($job)->choices->noseLiftMm);
    }

    /** @return list<CameOut> another way, before and while it was drained, in the order it was told */
    public static function cameOut(JobState $job): array
    {
        $told = [];
        foreach ($job->entries as $entry) {
            $step = $job->steps[$entry->step] ?? null;
            $out = $step !== null && $step->stage->value <= Stage::Drain->value ? CameOut::of($entry) : null;
            $told = $out === null ? $told : [...$told, $out];
        }

        return $told;
    }

    /**
     * What came out another way and a drain would have given: what no drain reaches was never expected of one.
     *
     * @return list<array{CameOut, float}> with its mL
     */
    private static function elsewhere(JobState $job): array
    {
        $came = self::cameOut($job);
        if ($came === []) {
            return [];
        }
        $keeps = [];
        foreach (Plan::of($job)->predicted->retained->byPart($job->circuit) as $kept) {
            $keeps[$kept->part->id] = $kept->ml;
        }
        $drained = [];
        foreach ($came as $out) {
            $kept = min($out->ml(), $keeps[$out->part ?? ''] ?? 0.0);
            $keeps[$out->part ?? ''] = ($keeps[$out->part ?? ''] ?? 0.0) - $kept;
            $drained[] = [$out, $out->ml() - $kept];
        }

        return $drained;
    }

    /**
     * @param  list<array{CameOut, float}>  $elsewhere
     * @return array{float, list<array{CameOut, float}>} mL that was told before a point was read, and the rest
     */
    private static function toldBefore(array $elsewhere, ?DrainRan $read): array
    {
        [$ml, $rest] = [0.0, []];
        foreach ($elsewhere as [$out, $left]) {
            if ($read === null || $out->told()->seq < $read->told()->seq) {
                $ml += $left;
            } else {
                $rest[] = [$out, $left];
            }
        }

        return [$ml, $rest];
    }

    /**
     * @param  list<array{CameOut, float}>  $elsewhere
     * @return array{float, list<array{CameOut, float}>} as much of the mL as there is, and the rest
     */
    private static function take(array $elsewhere, float $ml): array
    {
        $taken = 0.0;
        foreach ($elsewhere as $i => [$out, $left]) {
            $from = min($left, $ml - $taken);
            $elsewhere[$i] = [$out, $left - $from];
            $taken += $from;
        }

        return [$taken, $elsewhere];
    }

    /** @return array<string, float> mL by step, in the order in which they were read; those still to come as planned */
    private static function predictedInTurn(JobState $job): array
    {
        $steps = $job->stepsOf(self::KIND);
        $read = function (Step $step) use ($job): array {
            $first = self::ran($job, $step)[0] ?? null;

            return [$first?->at() ?? PHP_INT_MAX, $first?->told()->seq ?? PHP_INT_MAX];
        };
        $inTurn = array_values(array_filter($steps, fn (Step $step) => ! self::isLeftShut($job, $step)));
        usort($inTurn, fn (Step $a, Step $b) => $read($a) <=> $read($b));
        $planned = fn (Step $step): float => (float) $step->params->number('predicted_ml');
        $ids = fn (array $of): array => array_map(fn (Step $step) => $step->id, $of);
        if ($ids($inTurn) === $ids($steps)) {
            return array_combine($ids($steps), array_map($planned, $steps));
        }
        // What stands above the cold mark is not there to drain: whichever is opened first gives so much less.
        $before = self::drainedMl($job, $steps) - array_sum(array_map($planned, $steps));
        $predicted = array_fill_keys($ids($steps), 0.0);
        foreach ($inTurn as $i => $step) {
            $after = self::drainedMl($job, array_slice($inTurn, 0, $i + 1));
            $predicted[$step->id] = max(0.0, $after - $before);
            $before = $after;
        }

        return $predicted;
    }
}
