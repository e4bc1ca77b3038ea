<?php

declare(strict_types=1);

namespace Tests\Core;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Journal;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepCatalogue;

/** A job without application: a planned demo circuit and a journal written by hand. */
final class JobOnPaper
{
    /** @var list<Entry> */
    private array $lines = [];

    private int $now = 1_000_000;

    private ?Circuit $read = null;

    private ?Plan $plan = null;

    private function __construct(public readonly Choices $input, private readonly string $circuit)
    {
    }

    /** @param  array<string, mixed>  $choices  of Choices, by name */
    public static function on(string $circuit, string $school = 'gravity', float $lift = 0.0, ?HouseRules $rules = null, float $cure = 0.0, array $choices = []): self
    {
        $read = CircuitReader::read(self::document($circuit));

        $input = new Choices('repair', 'none', $school, ['upper_hose'], array_map(fn ($p) => $p->id, $read->portsOf('drain')), 1420.0, $lift, 0.5, $cure, $rules ?? new HouseRules);

        return new self(new Choices(...[...get_object_vars($input), ...$choices]), $circuit);
    }

    /** @param  array<string, mixed>  $values */
    public function write(string $step, string $form, array $values = [], int $later = 60): self
    {
        $this->lines[] = new Entry(count($this->lines) + 1, $this->now, 'Imre Tovald', $step, $form, $values);
        $this->now += $later;

        return $this;
    }

    public function wait(int $seconds): self
    {
        $this->now += $seconds;

        return $this;
    }

    public function state(): JobState
    {
        $this->read ??= CircuitReader::read(self::document($this->circuit));
        $this->plan ??= Planner::plan($this->read, $this->input);

        return new JobState($this->read, $this->plan, new Journal($this->lines));
    }

    public function at(string $step): Situation
    {
        $state = $this->state();

        return $state->at($state->steps[$step], $this->now, UnitSystem::Metric);
    }

    public function judge(string $step): ?Verdict
    {
        return StepCatalogue::of($this->at($step)->step)->judge($this->at($step));
    }

    /** @return list<string> */
    public function obstacles(string $step): array
    {
        return array_map(fn ($o) => $o->text, StepCatalogue::of($this->at($step)->step)->obstacles($this->at($step)));
    }

    public function isHard(string $step): bool
    {
        return array_filter(StepCatalogue::of($this->at($step)->step)->obstacles($this->at($step)), fn ($o) => $o->hard) !== [];
    }

    /** @return list<string> ids of the steps */
    public function steps(): array
    {
        return array_map(strval(...), array_keys($this->state()->steps));
    }

    /**
     * What a step refuses about an entry; null when it takes it.
     *
     * @param  array<string, mixed>  $values
     */
    public function refusal(string $step, string $form, array $values): ?string
    {
        try {
            StepCatalogue::of($this->at($step)->step)->admit($this->at($step), $form, $values);
        } catch (InvalidField $refused) {
            return $refused->getMessage();
        }

        return null;
    }

    /** Finishes a step with what it orders. */
    public function finish(string $step): self
    {
        $kind = StepCatalogue::of($this->at($step)->step);

        return $this->write($step, JobState::FINISH, ['orders' => array_map(fn ($s) => $s->toArray(), $kind->orders($this->at($step))), 'verdict' => $kind->judge($this->at($step))?->verdict]);
    }

    /** @return array<string, mixed> */
    private static function document(string $key): array
    {
        return json_decode((string) file_get_contents(__DIR__."/../../database/demo/circuits/{$key}.json"), true);
    }
}
