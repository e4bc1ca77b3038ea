<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Facts;
use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Stores\Inventory;

/** One step of one job at one moment: all a step kind may look at. */
final readonly class Situation
{
    /** @var \ArrayObject<string, mixed> what was worked out for this moment, by name */
    private \ArrayObject $worked;

    /** @param  int  $now  Unix seconds */
    public function __construct(
        public Step $step,
        public JobState $job,
        public int $now,
        public UnitSystem $units,
        public Inventory $stores = new Inventory,
    ) {
        /** @var \ArrayObject<string, mixed> $worked */
        $worked = new \ArrayObject;
        $this->worked = $worked;
    }

    /**
     * Something costly, worked out once for this moment, however many ask.
     *
     * @template T
     *
     * @param  \Closure(): T  $work
     * @return T
     */
    public function once(string $name, \Closure $work): mixed
    {
        if (! $this->worked->offsetExists($name)) {
            $this->worked[$name] = $work();
        }

        /** @var T $known */
        $known = $this->worked[$name];

        return $known;
    }

    /**
     * A judgement, worked out once for this job, step and moment, whoever asks and in whatever units.
     *
     * @template T
     *
     * @param  \Closure(): T  $work
     * @return T
     */
    public function judged(string $name, \Closure $work): mixed
    {
        return $this->job->once("{$this->step->id} {$this->now} {$name}", $work);
    }

    public function circuit(): Circuit
    {
        return $this->job->circuit;
    }

    public function facts(): Facts
    {
        return $this->job->circuit->facts;
    }

    public function port(): Port
    {
        return $this->circuit()->port($this->step->params->text('port'));
    }

    /** @return list<Entry> of this step, of one form when named */
    public function entries(?string $form = null): array
    {
        return $this->job->entriesOf($this->step->id, $form);
    }

    /**
     * What was told of one kind of thing at this step, in the order of its own time.
     *
     * @template T of Observation
     *
     * @param  class-string<T>  $what
     * @return list<T>
     */
    public function observed(string $what): array
    {
        return $this->job->observed($this->step->id, $what);
    }

    /**
     * The last of them; null where there is none.
     *
     * @template T of Observation
     *
     * @param  class-string<T>  $what
     * @return ?T
     */
    public function latest(string $what): ?Observation
    {
        $observed = $this->observed($what);

        return $observed === [] ? null : $observed[count($observed) - 1];
    }

    /**
     * The one that stands, whatever calmer one came after it; null where there is none.
     *
     * @template T of Grave
     *
     * @param  class-string<T>  $what
     * @return ?T
     */
    public function gravest(string $what): ?Grave
    {
        return Told::gravest($this->observed($what));
    }

    public function last(string $form): ?Entry
    {
        $entries = $this->entries($form);

        return $entries === [] ? null : $entries[count($entries) - 1];
    }

    public function has(string $form): bool
    {
        return $this->entries($form) !== [];
    }

    /** A number in the core's unit as the person reads it. */
    public function say(float $base, Dimension|Unit $in): string
    {
        return $this->units->format($base, $in);
    }

    public function litres(float $ml): string
    {
        return $this->say($ml, Dimension::Volume);
    }

    /** A top-up or a leak: below a litre, or a quart, in what is smaller. */
    public function amount(float $ml): string
    {
        return abs($ml) < $this->units->unit(Dimension::Volume)->toBase(1.0)
            ? $this->say($ml, $this->units->small())
            : $this->litres($ml);
    }

    public function degrees(float $celsius): string
    {
        return $this->say($celsius, Dimension::Temperature);
    }

    /** The same step seen from another one, e.g. the heat cycle a cold level belongs to. */
    public function seenFrom(Step $step): self
    {
        return new self($step, $this->job, $this->now, $this->units, $this->stores);
    }
}
