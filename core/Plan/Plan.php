<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Job\Basis;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Mixing\Mix;

/** A planned sequence with the predictions it rests on; plain data, so that a job keeps what it was planned with. */
final readonly class Plan implements Basis
{
    /** Sums that are off by such a share of what a fill takes miss a drain (common practice, no source). */
    private const MISSED = 0.5;

    /** @param  list<Step>  $steps */
    public function __construct(
        public School $school,
        public Choices $choices,
        public array $steps,
        public Prediction $predicted,
        public PredictedFill $fill,
    ) {
    }

    /** The plan a job follows. */
    public static function of(JobState|Situation $job): self
    {
        $plan = $job instanceof JobState ? $job->plan : $job->job->plan;

        return $plan instanceof self ? $plan : throw new \LogicException('This job does not follow a plan of ours.');
    }

    public function steps(): array
    {
        return $this->steps;
    }

    /**
     * The same plan by a sequence that has begun another way.
     *
     * @param  list<Step>  $steps
     */
    public function following(array $steps): self
    {
        return new self($this->school, $this->choices, $steps, $this->predicted, $this->fill);
    }

    /**
     * How much more stayed inside than was planned, by the sums before the fill, mL; nothing where they miss a drain, or
     * where the fill is not reckoned on what stays.
     */
    public function stayedMoreMl(JobState $job): float
    {
        $more = $job->ledgerBefore(Stage::Fill)->contentMl - $this->predicted->retainedMl;

        return $this->choices->fillsOnWhatStays() && abs($more) <= self::MISSED * $this->predicted->neededMl ? $more : 0.0;
    }

    public function headspaceMl(): float
    {
        return $this->predicted->headspaceMl;
    }

    public function rules(): HouseRules
    {
        return $this->choices->rules;
    }

    /** What the whole circuit takes, with what stays inside after the drain. */
    public function mix(Circuit $circuit): Mix
    {
        return $this->choices->mix($circuit, $this->predicted->usableMl, $this->predicted->retainedMl);
    }

    public function materials(Circuit $circuit): Materials
    {
        return new Materials($circuit, $this->choices, $this->school);
    }

    /** The sum over the very steps. */
    public function minutes(Kinds $kinds): Minutes
    {
        $sum = new Minutes;
        foreach ($this->steps as $step) {
            $sum = $sum->plus($kinds->labour($step, $this->choices));
        }

        return $sum;
    }
}
