<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Mixing\Mix;
use Aqbel\Core\Steps\StepCatalogue;

/** A planned sequence with the predictions it rests on; plain data, so that a job keeps what it was planned with. */
final readonly class Plan
{
    /**
     * @param  list<Step>  $steps
     * @param  array<string, mixed>  $predicted
     */
    public function __construct(public Choices $input, public array $steps, public array $predicted)
    {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['input' => $this->input->toArray(), 'steps' => array_map(fn (Step $s) => $s->toArray(), $this->steps), 'predicted' => $this->predicted];
    }

    /** @param  array<string, mixed>  $data */
    public static function fromArray(array $data): self
    {
        return new self(Choices::fromArray($data['input']), array_values(array_map(Step::fromArray(...), $data['steps'])), $data['predicted']);
    }

    /** What the whole circuit takes, with what stays inside after the drain. */
    public function mix(Circuit $circuit): Mix
    {
        return $this->input->mix($circuit, (float) $this->predicted['usable_ml'], (float) $this->predicted['retained_ml']);
    }

    public function handsOnMinutes(): float
    {
        return array_sum(array_map(fn (Step $s) => StepCatalogue::of($s)->handsOnMinutes($s, $this->input), $this->steps));
    }

    public function waitingMinutes(): float
    {
        return array_sum(array_map(fn (Step $s) => StepCatalogue::of($s)->waitingMinutes($s, $this->input), $this->steps));
    }
}
