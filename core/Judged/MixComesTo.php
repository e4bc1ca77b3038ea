<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Closing;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Mixing\Mix;
use Aqbel\Core\Observed\BatchMixed;
use Aqbel\Core\Observed\FromShelf;
use Aqbel\Core\Observed\PouredBack;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Volume;

/**
 * What the whole circuit comes to, with what stays inside and what was mixed. Somebody who may pass over a mixture
 * that is off its target makes what it comes to the target: it is not asked again at the end.
 */
final readonly class MixComesTo implements Judgement
{
    /** The circuit within so much of the target is on it (common practice, no source). */
    public const CLOSE = 0.03;

    /** More glycol than this is never better (common practice, no source). */
    private const MOST = 0.6;

    /** What rounding to the marks of a bucket may add. */
    private const MARKS = 0.015;

    /**
     * @param  float  $fraction  glycol share of the circuit, once it is full
     * @param  list<BatchMixed|FromShelf|PouredBack>  $restsOn
     */
    private function __construct(
        public MixComesToCode $code,
        public Mix $mix,
        public float $fraction,
        private array $restsOn,
    ) {
    }

    /** Null while nothing is mixed and everything can be. */
    public static function of(Situation $at): ?self
    {
        $mix = self::wanted($at->job);
        $bucket = Bucket::batch($at->job)->fraction();
        if ($bucket === null) {
            return self::isWithinReach($mix)
                ? null
                : new self(MixComesToCode::OutOfReach, $mix, $mix->finalFraction(), []);
        }
        // Poured in one after the other, no more of the first goes in than there is room for.
        $glycol = Bucket::isInside($at->job)
            ? min(Bucket::batch($at->job)->glycolMl, $mix->room->mL() * $mix->stockFraction)
            : $mix->room->mL() * $bucket;
        $final = ($glycol + $mix->retained->mL() * $mix->retainedFraction) / $mix->capacity->mL();
        $code = match (true) {
            $final > max(self::MOST, $mix->targetFraction) + self::MARKS => MixComesToCode::TooStrong,
            abs($final - $mix->targetFraction) <= self::CLOSE => MixComesToCode::OnTarget,
            default => MixComesToCode::OffTarget,
        };

        return new self(
            $code,
            $mix,
            $final,
            array_merge(
                ...array_map($at->job->observedAnywhere(...), [BatchMixed::class, FromShelf::class, PouredBack::class]),
            ),
        );
    }

    /** What has to go in, by what stays inside. */
    public static function wanted(JobState $job): Mix
    {
        $ledger = $job->ledgerBefore(Stage::Fill);
        $choices = Plan::of($job)->choices;
        $capacity = $ledger->capacityMl - $ledger->headspaceMl;

        return new Mix(
            Volume::millilitres($capacity),
            Volume::millilitres(max(0.0, min($capacity, $ledger->contentMl))),
            $ledger->fraction() ?? 0.0,
            $choices->targetFraction,
            $choices->stockFraction,
        );
    }

    /** What counts as on target once it is poured cannot be out of reach before. */
    public static function isWithinReach(Mix $mix): bool
    {
        return abs($mix->finalFraction() - $mix->targetFraction) <= self::CLOSE;
    }

    /** Glycol share that is wanted of the circuit: as planned, or what it came to where that was passed over. */
    public static function target(JobState $job): float
    {
        return $job->once(__METHOD__, function () use ($job): float {
            $target = Plan::of($job)->choices->targetFraction;
            foreach ($job->stepsOf('mix') as $step) {
                // What was mixed right afterwards was mixed for the plan.
                $target = self::accepted($job, $step)
                    ?? (isset($job->closed[$step->id]) ? Plan::of($job)->choices->targetFraction : $target);
            }

            return $target;
        });
    }

    /** What a mixture came to that was passed over as it was; null where none was. */
    private static function accepted(JobState $job, Step $step): ?float
    {
        $closed = $job->closed[$step->id] ?? null;
        $codes = array_map(fn (MixComesToCode $code) => $code->value, [
            MixComesToCode::OutOfReach,
            MixComesToCode::TooStrong,
            MixComesToCode::OffTarget,
        ]);
        if ($closed === null || array_intersect(Closing::of($closed)->missing, $codes) === []) {
            return null;
        }
        // As it was then: what was corrected since nobody has passed over.
        $then = $job->withOnly(
            array_values(array_filter($job->journal->lines, fn (Entry $line) => $line->seq < $closed->seq)),
        );

        $mixed = isset($then->steps[$step->id]) ? self::of($then->at($then->steps[$step->id], $closed->at)) : null;

        // By sums that cannot be it may come to more than glycol alone.
        return $mixed === null ? null : min(1.0, $mixed->fraction);
    }

    /** Whether it freezes too early, or is too strong to carry heat. */
    public function isRisk(): bool
    {
        return match ($this->code) {
            MixComesToCode::TooStrong => true,
            MixComesToCode::OnTarget => false,
            default => $this->fraction < $this->mix->targetFraction,
        };
    }

    /** How far from what is wanted, as a share. */
    public function off(): float
    {
        return abs($this->fraction - $this->mix->targetFraction);
    }

    public function code(): string
    {
        return $this->code->value;
    }

    public function outcome(): Outcome
    {
        return match ($this->code) {
            MixComesToCode::OnTarget => Outcome::Passes,
            MixComesToCode::OutOfReach => Outcome::Stops,
            default => Outcome::Waits,
        };
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
