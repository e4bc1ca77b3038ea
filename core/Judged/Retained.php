<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Part;
use Aqbel\Core\Circuit\PartVolume;
use Aqbel\Core\Circuit\Volumes;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Observed\DrainRan;
use Aqbel\Core\Observed\LeftShut;
use Aqbel\Core\Plan\Plan;

/** Content found less what came out, against what the circuit should keep with the points that were opened. */
final readonly class Retained implements Judgement
{
    /** Volumes of a circuit model against a real engine, however well they are known (common practice, no source). */
    private const MODEL_SHARE = 0.02;

    /**
     * A part is only named where at least this share of what it should hold is really missing (common practice, no
     * source).
     */
    private const ACCOUNTS_FOR = 0.5;

    /**
     * A point that ran dry has emptied a part of which by itself it keeps less than this share (common practice, no
     * source).
     */
    private const EMPTIED = 0.1;

    /** Two parts whose contents differ by less are not told apart by what is missing (common practice, no source). */
    private const ALIKE = 0.05;

    /**
     * @param  float  $unsureMl  within which vessels and model cannot tell
     * @param  list<DidNotDrain>  $suspects  the largest first
     * @param  list<Observation>  $restsOn
     */
    private function __construct(
        public RetainedCode $code,
        public float $insideMl,
        public float $plusMinusMl,
        public float $predictedMl,
        public float $unsureMl,
        public array $suspects,
        private array $restsOn,
    ) {
    }

    public static function of(Situation $at): self
    {
        return $at->job->once(self::class, fn (): self => self::judge($at));
    }

    private static function judge(Situation $at): self
    {
        $ledger = $at->job->ledgerBefore(Stage::Rinse);
        $predicted = self::predictedMl($at);
        $known = $ledger->lines !== [];
        $more = $known ? $ledger->contentMl - $predicted : INF;
        $unsure = hypot($ledger->plusMinusMl, self::modelMl($at));
        $suspects = self::suspects($at, $more);
        $told = [...$at->job->observedAnywhere(DrainRan::class), ...DrainsInTurn::cameOut($at->job)];
        $code = match (true) {
            ! $known => RetainedCode::NoContent,
            $told === [] && $at->job->observedAnywhere(LeftShut::class) !== [] => RetainedCode::NothingOut,
            $ledger->contentMl < -$ledger->readWithinMl && $ledger->hangsOn() !== null => RetainedCode::TooRough,
            $suspects !== [] => RetainedCode::DidNotDrain,
            $more > $unsure => RetainedCode::MoreInside,
            $more < -$unsure => RetainedCode::LessInside,
            default => RetainedCode::AsPredicted,
        };

        return new self($code, $ledger->contentMl, $ledger->plusMinusMl, $predicted, $unsure, $suspects, $told);
    }

    /** Within which the circuit keeps what its model says: wider where its volumes came with a layout, mL. */
    private static function modelMl(Situation $at): float
    {
        return max(self::MODEL_SHARE * $at->job->ledger()->capacityMl, $at->circuit()->knownWithinMl());
    }

    /** More than the circuit should keep, mL; negative where it is less. */
    public function moreMl(): float
    {
        return $this->insideMl - $this->predictedMl;
    }

    /** What the circuit keeps with the points that have been opened, and the parts emptied another way, by now; mL. */
    private static function predictedMl(Situation $at): float
    {
        $gone = array_sum(
            array_map(
                fn (PartVolume $kept) => self::emptiedMl($at->job, $kept),
                Plan::of($at)->predicted->retained->byPart($at->circuit()),
            ),
        );

        return max(
            0.0,
            Plan::of($at)->predicted->retainedMl
                + DrainsInTurn::keptByShutMl($at->job)
                - self::letOutBeyondThePlan($at->job)->sum()
                - $gone,
        );
    }

    /** What has come out of a part that no open drain reaches: all of it where it was blown out; mL. */
    public static function emptiedMl(JobState $job, PartVolume $kept): float
    {
        $ml = 0.0;
        foreach (DrainsInTurn::cameOut($job) as $out) {
            $ml += $out->part !== $kept->part->id ? 0.0 : ($out->emptiesIt() ? $kept->ml : $out->ml());
        }

        return min($kept->ml, $ml);
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

    /**
     * What another point gave in place of one that gave less is not inside: only so much is named as is missing in all.
     *
     * @return list<DidNotDrain> the largest first
     */
    private static function suspects(Situation $at, float $missingMl): array
    {
        $named = [];
        foreach (self::short($at) as $suspect) {
            if ($missingMl >= self::ACCOUNTS_FOR * $suspect->missingMl) {
                $named[] = $suspect->within($missingMl);
                $missingMl -= $suspect->missingMl;
            }
        }

        return $named;
    }

    /** @return list<DidNotDrain> points that gave less than they should, whatever the others gave, the largest first */
    private static function short(Situation $at): array
    {
        $suspects = [];
        foreach ($at->job->stepsOf('drain') as $step) {
            $gave = DrainGave::of($at->seenFrom($step));
            $unread = $gave === null && isset($at->job->closed[$step->id]);
            $of = $gave->together ?? [$step];
            // Those that ran together are short once, not each of them.
            $short = match (true) {
                $unread => DrainsInTurn::expectedMl($at->job)[$step->id],
                $of[0]->id !== $step->id => null,
                default => $gave?->shortMl(),
            };
            $suspect = $short === null || $short <= DrainGave::HARDLY_ML ? null : self::suspect($at, $of, $short);
            $suspects = $suspect === null ? $suspects : [...$suspects, $suspect];
        }
        usort($suspects, fn (DidNotDrain $a, DidNotDrain $b) => $b->missingMl <=> $a->missingMl);

        return $suspects;
    }

    /** @param  list<Step>  $of  points that are short by so much together */
    private static function suspect(Situation $at, array $of, float $shortMl): ?DidNotDrain
    {
        $ports = array_map(fn (Step $step) => $step->params->text('port'), $of);
        /** @var list<PartVolume> $parts */
        $parts = array_merge(
            ...array_map(fn (string $port) => Plan::of($at)->predicted->letsOut($port)->byPart($at->circuit()), $ports),
        );
        $dry = self::ranDry($at, $of);
        $parts = array_values(array_filter($parts, fn (PartVolume $v) => ! self::isEmptiedBy($at, $dry, $v->part)));
        if ($parts === []) {
            return null;
        }
        $unsure = self::modelMl($at);
        $holding = array_values(
            array_filter($parts, fn (PartVolume $v) => self::holdsMl($at->circuit(), $v->part) >= $shortMl - $unsure),
        );

        return new DidNotDrain($ports, self::nearest($holding, $shortMl), $shortMl);
    }

    /**
     * The part whose content comes nearest to what is missing, and those of the same size: nothing tells them apart.
     *
     * @param  list<PartVolume>  $parts
     * @return list<Part>
     */
    private static function nearest(array $parts, float $missingMl): array
    {
        usort($parts, fn (PartVolume $a, PartVolume $b) => abs($a->ml - $missingMl) <=> abs($b->ml - $missingMl));
        $alike = array_filter($parts, fn (PartVolume $v) => abs($v->ml - $parts[0]->ml) <= self::ALIKE * $parts[0]->ml);

        return array_values(array_map(fn (PartVolume $v) => $v->part, $alike));
    }

    /**
     * @param  list<Step>  $short  points that are short
     * @return list<Step> others that ran out, and gave what they should
     */
    private static function ranDry(Situation $at, array $short): array
    {
        return array_values(array_filter(
            $at->job->stepsOf('drain'),
            fn (Step $step): bool => ! in_array($step, $short, true) && DrainsInTurn::ranOut($at->job, $step)
                && DrainGave::of($at->seenFrom($step))?->shortMl() === null,
        ));
    }

    /** @param  list<Step>  $dry  points that ran out */
    private static function isEmptiedBy(Situation $at, array $dry, Part $part): bool
    {
        $holds = self::holdsMl($at->circuit(), $part);
        foreach ($dry as $step) {
            $keeps = DrainsInTurn::keeps($at->job, $step);
            if (array_sum(array_map($keeps->in(...), $part->passages)) <= self::EMPTIED * $holds) {
                return true;
            }
        }

        return false;
    }

    /** No part keeps more than it holds, mL. */
    private static function holdsMl(Circuit $circuit, Part $part): float
    {
        return array_sum(array_map(fn (string $passage) => $circuit->passages[$passage]->volumeMl, $part->passages));
    }

    public function code(): string
    {
        return $this->code->value;
    }

    public function outcome(): Outcome
    {
        return in_array($this->code, [RetainedCode::AsPredicted, RetainedCode::LessInside], true)
            ? Outcome::Passes
            : Outcome::Waits;
    }

    public function latches(): bool
    {
        return false;
    }

    public function restsOn(): array
    {
        return $this->restsOn;
    }
}
