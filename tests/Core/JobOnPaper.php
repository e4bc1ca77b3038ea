<?php

declare(strict_types=1);

namespace Tests\Core;

use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Closing;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Journal;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Complaint;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;
use Tests\Demo;

/** A job without application: a planned demo circuit and a journal written by hand. */
final class JobOnPaper
{
    /** @var list<Entry> */
    private array $lines = [];

    private int $now = 1_000_000;

    private ?Plan $plan = null;

    private StepCatalogue $kinds;

    private function __construct(
        private readonly string $circuit,
        public readonly Choices $choices,
        private Planner $planner,
    ) {
        $this->kinds = StepCatalogue::standard();
    }

    /** @param  array<string, mixed>  $choices  of Choices, by name */
    public static function on(
        string $circuit,
        string $school = 'gravity',
        float $lift = 0.0,
        ?HouseRules $rules = null,
        float $cure = 0.0,
        array $choices = [],
    ): self {
        $usual = [
            'jobKind' => JobKind::Repair,
            'complaint' => Complaint::None,
            'school' => $school,
            'opened' => ['upper_hose'],
            'drains' => Demo::circuit($circuit)->portIds(PortKind::Drain),
            'elevationM' => 1420.0,
            'noseLiftMm' => $lift,
            'targetFraction' => 0.5,
            'cureMinutes' => $cure,
            'rules' => $rules ?? new HouseRules(),
            'onWhatStays' => true,
        ];

        return new self($circuit, new Choices(...[...$usual, ...$choices]), Demo::planner());
    }

    /**
     * The ambulance with all three drains measured as predicted.
     *
     * @param  array<string, mixed>  $choices
     */
    public static function drainedAmbulance(array $choices = []): self
    {
        return self::on('rescue-ambulance', choices: $choices)->write('found', 'found', ['content' => 'full'])
            ->write('drain:radiator_cock', 'out', ['volume' => 9640.0, 'vessel' => 'pan', 'flow' => 'ran'])
            ->write('drain:left_plug', 'out', ['volume' => 650.0, 'vessel' => 'jug', 'flow' => 'ran'])
            ->write('drain:right_plug', 'out', ['volume' => 650.0, 'vessel' => 'jug', 'flow' => 'ran']);
    }

    public static function kind(string $code): StepKind
    {
        return StepCatalogue::standard()->all()[$code];
    }

    /** @param  array<string, float|int|string|bool|list<string>|null>  $values */
    public function write(string $step, string $form, array $values = [], int $later = 60): self
    {
        return $this->add($step, $form, new Values($values), $later);
    }

    /** A sealed run that shows all this vehicle can show, and is shut off. */
    public function ranHot(string $step): self
    {
        $this->write($step, 'start', ['place' => 'outdoors', 'neck' => 'sealed'], 900)->write($step, 'reading', [
            'ect' => 97.0, 'far' => 90.0, 'outlet_front' => 66.0, 'bubbles' => 'hidden', 'sign' => 'none',
        ]);
        foreach (['fan_on', 'fan_off', 'fan_on', 'fan_off', 'shut_off'] as $form) {
            $this->write($step, $form);
        }

        return $this->wait(36_000);
    }

    public function wait(int $seconds): self
    {
        $this->now += $seconds;

        return $this;
    }

    public function plan(): Plan
    {
        return $this->plan ??= $this->planner->plan(Demo::circuit($this->circuit), $this->choices);
    }

    public function state(): JobState
    {
        return new JobState(Demo::circuit($this->circuit), $this->plan(), $this->kinds, new Journal($this->lines));
    }

    public function at(string $step): Situation
    {
        $state = $this->state();

        return $state->at($state->steps[$step], $this->now, UnitSystem::Metric);
    }

    public function judge(string $step): ?Verdict
    {
        return $this->kinds->of($this->at($step)->step)->verdict($this->at($step));
    }

    /** @return list<string> */
    public function obstacles(string $step): array
    {
        return array_map(fn (Obstacle $o) => $o->text, $this->open($step));
    }

    public function isHard(string $step): bool
    {
        return array_filter($this->open($step), fn (Obstacle $o) => $o->hard) !== [];
    }

    /** @return list<string> ids of the steps */
    public function steps(): array
    {
        return array_map(strval(...), array_keys($this->state()->steps));
    }

    /**
     * What a step refuses about an entry; null when it takes it.
     *
     * @param  array<string, float|int|string|bool|list<string>|null>  $values
     */
    public function refusal(string $step, string $form, array $values = []): ?string
    {
        try {
            $this->kinds->of($this->at($step)->step)->admit($this->at($step), $form, new Values($values));
        } catch (InvalidField $refused) {
            return $refused->getMessage();
        }

        return null;
    }

    /** Finishes a step with what it orders. */
    public function finish(string $step): self
    {
        $at = $this->at($step);
        $kind = $this->kinds->of($at->step);
        $values = (new Closing($kind->verdict($at)?->code, $kind->needless($at)))->values();

        return $this->add($step, Lines::Finish->value, $values, 60, $kind->orders($at));
    }

    /** @param  list<\Aqbel\Core\Job\Step>  $orders */
    private function add(string $step, string $form, Values $values, int $later, array $orders = []): self
    {
        $this->lines[] = new Entry(
            count($this->lines) + 1,
            $this->now,
            'Imre Tovald',
            $step,
            $form,
            $values,
            orders: $orders,
        );
        $this->now += $later;

        return $this;
    }

    /** @return list<Obstacle> */
    private function open(string $step): array
    {
        return $this->kinds->of($this->at($step)->step)->open($this->at($step));
    }
}
