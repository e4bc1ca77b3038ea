<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Findings;

use Aqbel\Core\Circuit\PartVolume;
use Aqbel\Core\Circuit\Volumes;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Observed\LeftShut;
use Aqbel\Core\Plan\FurtherDrain;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Steps\Drain\Drain;
use Aqbel\Core\Steps\Drain\Elsewhere;
use Aqbel\Core\Values;

/** What the drain points have given so far, and which are still shut. */
final class Drains
{
    private const NAMED_PARTS = 3;

    /** Next to nothing came, so what stands above the point is still there. */
    public static function blocked(JobState $job, Step $drain): bool
    {
        $out = $job->entriesOf($drain->id, 'out');

        return $out !== [] && $out[count($out) - 1]->text('flow') === 'blocked';
    }

    /** Whether a point was not opened, and is not said to be open or to have given anything. */
    public static function isLeftShut(JobState $job, Step $drain): bool
    {
        return $job->observed($drain->id, LeftShut::class) !== []
            && $job->entriesOf($drain->id, 'opened') === [] && $job->entriesOf($drain->id, 'out') === [];
    }

    /** What stands above points that were left shut, mL. */
    public static function keptByShutMl(JobState $job): float
    {
        $steps = $job->stepsOf('drain');
        $opened = array_filter($steps, fn (Step $step) => ! self::isLeftShut($job, $step));

        return count($opened) === count($steps) ? 0.0 : max(0.0, self::drainedMl($job, $steps) - self::drainedMl($job, $opened));
    }

    /**
     * What these points let out of a full circuit.
     *
     * @param  array<Step>  $drains
     */
    private static function drainedMl(JobState $job, array $drains): float
    {
        return Drainage::of(
            $job->circuit,
            array_map(fn (Step $step) => $step->params->text('port'), array_values($drains)),
            $job->circuit->usualGates(),
            Plan::of($job)->choices->noseLiftMm,
        )->drainedMl;
    }

    /**
     * What should come out of a planned point: predicted for a circuit full to its mark, less what was missing at the
     * top; after the points that were opened before it, in whichever order. Of points that ran together it is what the
     * others have left of their sum; mL.
     */
    public static function expectedMl(JobState $job, Step $drain): float
    {
        $inTurn = self::inTurn($job);
        if (! self::ranTogether($job, $drain)) {
            return $inTurn[$drain->id];
        }
        $expected = 0.0;
        foreach ($job->stepsOf('drain') as $step) {
            if (self::ranTogether($job, $step)) {
                $expected += $inTurn[$step->id] - ($step->id === $drain->id ? 0.0 : self::outMl($job, $step));
            }
        }

        return max(0.0, $expected);
    }

    /** Whether it ran together with points that nobody has read yet. */
    public static function waitsForOthers(JobState $job, Step $drain): bool
    {
        $unread = fn (Step $step): bool => $job->entriesOf($step->id, 'out') === [] && ! self::isLeftShut($job, $step) && ! isset($job->closed[$step->id]);

        return self::ranTogether($job, $drain) && array_filter($job->stepsOf('drain'), $unread) !== [];
    }

    private static function ranTogether(JobState $job, Step $drain): bool
    {
        return array_filter($job->entriesOf($drain->id, 'out'), fn (Entry $out) => $out->text(Drain::TOGETHER) === Drain::WITH_OTHERS) !== [];
    }

    private static function outMl(JobState $job, Step $drain): float
    {
        return array_sum(array_map(fn (Entry $out) => (float) $out->number('volume'), $job->entriesOf($drain->id, 'out')));
    }

    /** @return array<string, float> mL that each point should give after those opened before it, by step */
    private static function inTurn(JobState $job): array
    {
        $ledger = $job->ledger();
        $missing = $job->lastOf('found', 'found') === null ? 0.0
            : max(0.0, $ledger->capacityMl - $ledger->headspaceMl - $job->ledgerBefore(Stage::Drain)->contentMl);
        $expected = [];
        foreach (self::predictedInTurn($job) as $id => $predicted) {
            $missing += self::cameOutBeforeMl($job, $job->steps[$id], array_key_last($expected));
            $expected[$id] = max(0.0, $predicted - $missing);
            $missing -= self::blocked($job, $job->steps[$id]) ? 0.0 : min($missing, $predicted);
        }

        return $expected;
    }

    /** What came out another way since the point before was read, and before this one was; mL it does not have to give. */
    private static function cameOutBeforeMl(JobState $job, Step $drain, ?string $after): float
    {
        $read = fn (?string $step): ?int => $step === null ? null : ($job->entriesOf($step, 'out')[0] ?? null)?->seq;
        [$from, $to] = [$read($after) ?? 0, $read($drain->id) ?? PHP_INT_MAX];
        $ml = 0.0;
        $elsewhere = Elsewhere::upToTheDrains($job);
        if ($elsewhere === []) {
            return $ml;
        }
        $retained = Plan::of($job)->predicted->retained->byPart($job->circuit);
        $keeps = array_combine(
            array_map(fn (PartVolume $kept) => $kept->part->id, $retained),
            array_map(fn (PartVolume $kept) => $kept->ml, $retained),
        );
        foreach ($elsewhere as $out) {
            if ($out->told()->seq > $from && $out->told()->seq < $to) {
                // What no drain reaches was never expected of one.
                $ml += $out->ml() - min($out->ml(), $keeps[$out->part ?? ''] ?? 0.0);
            }
        }

        return $ml;
    }

    /** @return array<string, float> mL by step, in the order in which they were read; those still to come as planned */
    private static function predictedInTurn(JobState $job): array
    {
        $steps = $job->stepsOf('drain');
        $read = fn (Step $step): array => [($job->entriesOf($step->id, 'out')[0] ?? null)->at ?? PHP_INT_MAX, ($job->entriesOf($step->id, 'out')[0] ?? null)->seq ?? PHP_INT_MAX];
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

    /** @return list<FurtherDrain> points without a step so far, those that would let out most first */
    public static function notOpened(JobState $job): array
    {
        return array_values(
            array_filter(
                Plan::of($job)->predicted->further,
                fn (FurtherDrain $f) => ! isset($job->steps["drain:{$f->port}"]),
            ),
        );
    }

    public static function stillShut(JobState $job, string $port): ?FurtherDrain
    {
        foreach (self::notOpened($job) as $further) {
            if ($further->port === $port) {
                return $further;
            }
        }

        return null;
    }

    /**
     * Points still shut, in words: what each would let out and what it costs.
     *
     * @return array<string, string> by port
     */
    public static function choices(Situation $at): array
    {
        $choices = [];
        foreach (self::notOpened($at->job) as $further) {
            $choices[$further->port] = self::say($at, $further);
        }

        return $choices;
    }

    /**
     * The same of every point the plan left shut, opened since or not.
     *
     * @return array<string, string> by port
     */
    public static function everyChoice(Situation $at): array
    {
        $choices = [];
        foreach (Plan::of($at)->predicted->further as $further) {
            $choices[$further->port] = self::say($at, $further);
        }

        return $choices;
    }

    /** A drain point that was not on the plan, as a step of its own. */
    public static function further(Situation $at, FurtherDrain $further): Step
    {
        $circuit = $at->circuit();
        $ran = [];
        foreach ($at->job->stepsOf('drain') as $step) {
            if (! self::blocked($at->job, $step)) {
                $ran[] = $step->params->text('port');
            }
        }
        $lift = Plan::of($at)->choices->noseLiftMm;
        $drained = fn (string ...$ports): float => Drainage::of(
            $circuit,
            array_values($ports),
            $circuit->usualGates(),
            $lift,
        )->drainedMl;
        $empties = array_map(fn (PartVolume $v) => $v->part->id, $further->letsOut->byPart($circuit));

        return new Step("drain:{$further->port}", 'drain', Stage::Drain, new Values([
            'port' => $further->port, 'predicted_ml' => $drained(...$ran, ...[$further->port]) - $drained(...$ran),
            'first' => false, 'empties' => array_slice($empties, 0, self::NAMED_PARTS),
        ]));
    }

    /** What points opened beyond the plan have let out, by the model. */
    public static function letOutBeyondThePlan(JobState $job): Volumes
    {
        $opened = [];
        foreach (Plan::of($job)->predicted->further as $further) {
            if (isset($job->closed["drain:{$further->port}"])) {
                foreach ($further->letsOut->toArray() as $passage => $ml) {
                    $opened[$passage] = ($opened[$passage] ?? 0.0) + $ml;
                }
            }
        }

        return new Volumes($opened);
    }

    private static function say(Situation $at, FurtherDrain $further): string
    {
        return "{$at->circuit()->port($further->port)->label}, "
            ."{$at->litres($further->volumeMl)} in ".round($further->minutes).' min';
    }
}
