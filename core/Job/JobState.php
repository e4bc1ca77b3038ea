<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Ledger\Ledger;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Stores\Inventory;

/** A job as its journal tells it: the one fold behind screen, record and export. */
final class JobState
{
    /** @var array<string, Step> in order, steps ordered by findings included */
    public readonly array $steps;

    /** @var array<string, Entry> the entry that closed each finished step */
    public readonly array $closed;

    /** @var array<string, Entry> the line after which a finished step no longer holds, by step */
    public readonly array $reopened;

    /** @var list<Entry> in order of their own time */
    public readonly array $entries;

    /** @var array<string, list<Entry>> */
    private readonly array $byStep;

    /** @var list<Entry> what came up on the way, whatever its step asks */
    private readonly array $cameUp;

    private readonly Movements $movements;

    private readonly Observations $told;

    private ?Running $running = null;

    private ?Turn $turn = null;

    /** @var array<string, mixed> what was worked out for this state, by name */
    private array $worked = [];

    /** What the job follows: as it was planned, or planned anew since. */
    public readonly Basis $plan;

    /** @param  bool  $judgesAgain  whether a finished step is in hand again when what it rested on has changed */
    public function __construct(
        public readonly Circuit $circuit,
        private readonly Basis $first,
        public readonly Kinds $kinds,
        public readonly Journal $journal = new Journal,
        bool $judgesAgain = true,
        private readonly Reader $reader = new Reader,
    ) {
        $this->entries = $journal->effective();
        $this->movements = new Movements($this);
        $this->told = new Observations($this, $reader);
        $this->reopened = $judgesAgain && $journal->wasTouched()
            ? Reopening::of(new self($circuit, $first, $kinds, $journal, false, $reader))
            : [];
        [$byStep, $cameUp] = [[], []];
        foreach ($this->entries as $entry) {
            if ($entry->isAnyTime()) {
                $cameUp[] = $entry;
            } elseif (! $entry->closes() && ! $entry->is(Lines::Acknowledge)) {
                $byStep[$entry->step][] = $entry;
            }
        }
        [$this->byStep, $this->cameUp] = [$byStep, $cameUp];
        $sequence = Sequence::fold($first, $this->entries, $this->reopened, $byStep);
        [$this->plan, $this->steps, $this->closed] = [$sequence->plan, $sequence->steps, $sequence->closed];
    }

    /**
     * Something costly, worked out once for this state, however many ask.
     *
     * @template T
     *
     * @param  \Closure(): T  $work
     * @return T
     */
    public function once(string $name, \Closure $work): mixed
    {
        if (! array_key_exists($name, $this->worked)) {
            $this->worked[$name] = $work();
        }
        /** @var T $known */
        $known = $this->worked[$name];

        return $known;
    }

    /** The same job with one line more in its journal. */
    public function after(Entry $line): self
    {
        return new self(
            $this->circuit,
            $this->first,
            $this->kinds,
            new Journal([...$this->journal->lines, $line]),
            reader: $this->reader,
        );
    }

    /** Whose turn it is. */
    public function turn(): Turn
    {
        return $this->turn ??= new Turn($this);
    }

    /** The step whose turn it is; null when all are finished. */
    public function stepInHand(): ?Step
    {
        return $this->turn()->stepInHand();
    }

    /** @return list<Entry> */
    public function entriesOf(string $step, ?string $form = null): array
    {
        $entries = $this->byStep[$step] ?? [];

        return $form === null ? $entries : array_values(array_filter($entries, fn (Entry $e) => $e->form === $form));
    }

    /**
     * Photographs taken at a step, or in the whole job.
     *
     * @return list<Entry>
     */
    public function photos(?string $step = null): array
    {
        $here = fn (Entry $e) => $e->is(Lines::Photo) && ($step === null || $e->step === $step);

        return array_values(array_filter($this->entries, $here));
    }

    /**
     * What came up on the way, at a step or in the whole job.
     *
     * @return list<Entry>
     */
    public function cameUp(?string $step = null): array
    {
        return $step === null
            ? $this->cameUp
            : array_values(array_filter($this->cameUp, fn (Entry $line) => $line->step === $step));
    }

    /**
     * Everything that was said at a step, what came up included.
     *
     * @return list<Entry>
     */
    public function writtenAt(string $step): array
    {
        return Entry::inOrder([...$this->entriesOf($step), ...$this->cameUp($step)]);
    }

    /** @return list<Step> of a kind */
    public function stepsOf(string $kind): array
    {
        return array_values(array_filter($this->steps, fn (Step $s) => $s->kind === $kind));
    }

    /** @return list<Step> whose kinds declare this */
    public function stepsThat(Does $what): array
    {
        return array_values(array_filter($this->steps, fn (Step $s) => $this->kinds->of($s)->does($what)));
    }

    /** When the engine has run, and how the neck stands since. */
    public function running(): Running
    {
        return $this->running ??= Running::of($this);
    }

    /**
     * What was told of one kind of thing at a step, in the order of its own time.
     *
     * @template T of Observation
     *
     * @param  class-string<T>  $what
     * @return list<T>
     */
    public function observed(string $step, string $what): array
    {
        return $this->told->at($step, $what);
    }

    /**
     * The same of every step whose kind observes it, in the order of its own time.
     *
     * @template T of Observation
     *
     * @param  class-string<T>  $what
     * @return list<T>
     */
    public function observedAnywhere(string $what): array
    {
        return $this->told->anywhere($what);
    }

    /**
     * The same up to something that was told, by its time; a long run after it is not read for that.
     *
     * @template T of Observation
     *
     * @param  class-string<T>  $what
     * @return list<T> step by step
     */
    public function observedUntil(string $what, Observation $then): array
    {
        return $this->told->until($what, $then);
    }

    /**
     * What was told at a step and somebody else has taken back or changed since, or that was changed once the step was
     * closed: no proof any more, and a danger all the same.
     *
     * @template T of Observation
     *
     * @param  class-string<T>  $what
     * @return list<T>
     */
    public function struck(string $step, string $what): array
    {
        return $this->told->struck($step, $what);
    }

    /** Whether the record is signed. */
    public function isSigned(): bool
    {
        return array_filter($this->stepsThat(Does::Signs), fn (Step $step) => isset($this->closed[$step->id])) !== [];
    }

    public function placeOf(Step $step): int
    {
        return (int) array_search($step->id, array_keys($this->steps), true);
    }

    /** The job as it stood when this step was in hand: what later steps wrote, and ordered, is not in it. */
    public function asAt(Step $step): self
    {
        $order = array_flip(array_keys($this->steps));
        $at = $order[$step->id];
        $end = $this->closed[$step->id] ?? null;
        $closed = $end->seq ?? PHP_INT_MAX;
        // It was judged by the plan that held then, at whichever step that was made.
        $alike = array_filter(
            $this->steps,
            fn (Step $other) => $other->id !== $step->id && $this->turn()->areAlike($step, $other),
        );
        // What came up before it was done is known at it, wherever it was told: it may have brought the step itself.
        $cameUp = [];
        foreach ($this->cameUp as $line) {
            $cameUp += $line->seq < $closed ? [$line->seq => true] : [];
        }
        $lines = array_filter($this->journal->lines, fn (Entry $line) => match (true) {
            $cameUp !== [] && isset($cameUp[$line->changes() ?? $line->seq]) => true,
            $line->planned !== null => $line->seq < $closed,
            // What was put right since, or told late, is known of it too.
            isset($alike[$line->step]) => ($line->changes() ?? $line->seq) < $closed || $line->at < ($end->at ?? 0),
            default => ($order[$line->step] ?? $at + 1) < $at || ($line->step === $step->id && ! $line->closes()),
        });

        return $this->withOnly(array_values($lines));
    }

    /**
     * The same job with these lines alone, taken as they are.
     *
     * @param  list<Entry>  $lines
     */
    public function withOnly(array $lines): self
    {
        return new self($this->circuit, $this->first, $this->kinds, new Journal($lines), false, $this->reader);
    }

    /** The same job as a line found it: what was written before, as far as it has been put right since. */
    public function asFoundBy(int $seq): self
    {
        return $this->withOnly(array_values(array_filter(
            $this->journal->lines,
            fn (Entry $line) => ($line->changes() ?? $line->seq) < $seq,
        )));
    }

    /** The same job as whoever wrote at a moment found it: what was told of later is not in it, what was put right is. */
    public function asOf(int $moment): self
    {
        $later = [];
        foreach ($this->journal->lines as $line) {
            $later += $line->at > $moment ? [$line->seq => true] : [];
        }

        return $later === [] ? $this : $this->withOnly(array_values(array_filter(
            $this->journal->lines,
            fn (Entry $line) => ! isset($later[$line->changes() ?? $line->seq]),
        )));
    }

    /** The same job as it stood after one of its lines. */
    public function upTo(int $seq): self
    {
        $lines = array_filter($this->journal->lines, fn (Entry $line) => $line->seq <= $seq);

        return new self(
            $this->circuit,
            $this->first,
            $this->kinds,
            new Journal(array_values($lines)),
            reader: $this->reader,
        );
    }

    /** What a step comes to: as it stood when it was in hand, with whatever was corrected since. */
    public function verdictOf(Step $step, int $now, UnitSystem $units = UnitSystem::Metric): ?Verdict
    {
        $state = isset($this->closed[$step->id]) ? $this->asAt($step) : $this;

        return $this->kinds->of($step)->verdict($state->at($step, $now, $units));
    }

    /** Whether anything that was entered has been corrected or taken back since. */
    public function wasCorrected(): bool
    {
        return array_filter($this->journal->lines, fn (Entry $line) => $line->kind()?->changesAnother() === true) !== [];
    }

    /** Whether a finished step would still be judged as it was when it was finished. */
    public function stillStands(Step $step, int $now): bool
    {
        $closed = $this->closed[$step->id] ?? null;
        if ($closed === null || ! $closed->is(Lines::Finish) || ! $this->wasCorrected()) {
            return true;
        }
        $words = Closing::inWords($closed);
        if ($words === '') {
            return Closing::of($closed)->cameTo === $this->verdictOf($step, $now)?->code;
        }
        $titles = array_map(
            fn (UnitSystem $units) => $this->verdictOf($step, $now, $units)?->title,
            UnitSystem::cases(),
        );

        return in_array($words, $titles, true);
    }

    /** The nearest step of a kind before the one given. */
    public function before(Step $step, string $kind): ?Step
    {
        $found = null;
        foreach ($this->steps as $id => $other) {
            if ($id === $step->id) {
                return $found;
            }
            $found = $other->kind === $kind ? $other : $found;
        }

        return $found;
    }

    public function hasAcknowledged(string $hazard): bool
    {
        foreach ($this->entries as $entry) {
            if ($entry->is(Lines::Acknowledge) && $entry->text('hazard') === $hazard) {
                return true;
            }
        }

        return false;
    }

    public function ledger(): Ledger
    {
        return $this->ledgerBefore(null);
    }

    /** The ledger as the stages before the one given leave it; whole when none is given. */
    public function ledgerBefore(?Stage $stage): Ledger
    {
        return $this->movements->before($stage);
    }

    /** What was poured since the fill began, what came back not taken off, mL. */
    public function pouredMl(): float
    {
        return $this->ledger()->inMl() - $this->ledgerBefore(Stage::Fill)->inMl();
    }

    /** @return array<string, PortState> by port, as the steps so far leave them */
    public function ports(int $now): array
    {
        $ports = [];
        $cameUp = [];
        foreach ($this->cameUp as $line) {
            $cameUp[$line->step][$line->form] = $line;
        }
        foreach ($this->steps as $id => $step) {
            $at = $this->at($step, $now);
            $ports = [...$ports, ...$this->kinds->of($step)->ports($at)];
            foreach ($cameUp[$id] ?? [] as $line) {
                $ports = [...$ports, ...$this->kinds->reading($step, $line)->ports($at)];
            }
        }

        return $ports;
    }

    public function at(
        Step $step,
        int $now,
        UnitSystem $units = UnitSystem::Metric,
        Inventory $stores = new Inventory,
    ): Situation {
        return new Situation($step, $this, $now, $units, $stores);
    }
}
