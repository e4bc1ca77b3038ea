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
    /** Journal forms that belong to every step. */
    public const FINISH = 'finish';

    public const OVERRIDE = 'override';

    public const ACKNOWLEDGE = 'acknowledge';

    /** A photograph, at any step. */
    public const PHOTO = 'photo';

    /** What else may be written at any step: something found, coolant that came out, another way of going on. */
    public const ANY_TIME = [self::FINDING, self::OUTLET, self::REPLAN];

    public const FINDING = 'finding';

    public const OUTLET = 'outlet';

    public const REPLAN = 'replan';

    /** Under which a replanning line says that it closes the step it was written at. */
    public const LEAVES = 'leaves';

    /** Under which something that came up says before which step its own come. */
    public const BEFORE = 'before';

    /**
     * Under which a finished step keeps the code of its verdict, and the steps planned after it that it makes
     * needless.
     */
    public const CAME_TO = 'came_to';

    public const NEEDLESS = 'needless';

    /** Under which the wording of the verdict was kept before codes were. */
    private const VERDICT_IN_WORDS = 'verdict';

    private const WHOLE = 99;

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

    /** @var array<int, Ledger> worked out so far, by the stage they end before */
    private array $ledgers = [];

    /** @var ?list<EngineRun> */
    private ?array $runs = null;

    /** What the job follows: as it was planned, or planned anew since. */
    public readonly Basis $plan;

    /** @param  bool  $judgesAgain  whether a finished step is in hand again when what it rested on has changed */
    public function __construct(
        public readonly Circuit $circuit,
        private readonly Basis $first,
        public readonly Kinds $kinds,
        public readonly Journal $journal = new Journal,
        bool $judgesAgain = true,
    ) {
        $this->entries = $journal->effective();
        $this->reopened = $judgesAgain && $journal->wasTouched()
            ? Reopening::of(new self($circuit, $first, $kinds, $journal, false))
            : [];
        $byStep = [];
        foreach ($this->entries as $entry) {
            if (! self::closes($entry) && $entry->form !== self::ACKNOWLEDGE && ! self::isAnyTime($entry)) {
                $byStep[$entry->step][] = $entry;
            }
        }
        $this->byStep = $byStep;
        $sequence = Sequence::fold($first, $this->entries, $this->reopened, $byStep);
        [$this->plan, $this->steps, $this->closed] = [$sequence->plan, $sequence->steps, $sequence->closed];
    }

    /** The same job with one line more in its journal. */
    public function after(Entry $line): self
    {
        return new self($this->circuit, $this->first, $this->kinds, new Journal([...$this->journal->lines, $line]));
    }

    /** Whether a line closes its step: finished, passed over with a reason, or left for another way of going on. */
    public static function closes(Entry $line): bool
    {
        return $line->form === self::FINISH || $line->form === self::OVERRIDE
            || ($line->form === self::REPLAN && $line->ticked(self::LEAVES));
    }

    /** Whether a line may stand at any step: what came up, whatever the step asks. */
    public static function isAnyTime(Entry $line): bool
    {
        return in_array($line->form, self::ANY_TIME, true);
    }

    /** The first step not yet finished; null when all are. */
    public function stepInHand(): ?Step
    {
        foreach ($this->steps as $id => $step) {
            if (! isset($this->closed[$id])) {
                return $step;
            }
        }

        return null;
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
        $here = fn (Entry $e) => $e->form === self::PHOTO && ($step === null || $e->step === $step);

        return array_values(array_filter($this->entries, $here));
    }

    /**
     * What came up on the way, at a step or in the whole job.
     *
     * @return list<Entry>
     */
    public function cameUp(?string $step = null): array
    {
        $here = fn (Entry $e) => self::isAnyTime($e) && ($step === null || $e->step === $step);

        return array_values(array_filter($this->entries, $here));
    }

    /**
     * Everything that was said at a step, what came up included.
     *
     * @return list<Entry>
     */
    public function writtenAt(string $step): array
    {
        $written = [...$this->entriesOf($step), ...$this->cameUp($step)];
        usort($written, fn (Entry $a, Entry $b) => [$a->at, $a->seq] <=> [$b->at, $b->seq]);

        return $written;
    }

    /** The last entry of one form in any step of a kind, the way findings are looked up by later steps. */
    public function lastOf(string $kind, string $form): ?Entry
    {
        $last = null;
        foreach ($this->stepsOf($kind) as $step) {
            $entries = $this->entriesOf($step->id, $form);
            $last = $entries === [] ? $last : $entries[count($entries) - 1];
        }

        return $last;
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

    /**
     * Every step in which the engine has run, as the neck stood meanwhile.
     *
     * @return list<EngineRun> in the order of the steps
     */
    public function runs(): array
    {
        return $this->runs ??= EngineRun::all($this);
    }

    /** When the engine last ran in this job, Unix seconds; null when it has not. */
    public function lastRan(): ?int
    {
        return $this->runs() === [] ? null : max(array_column($this->runs(), 'ended'));
    }

    /** How the neck stood when the engine last ran, in the whole job or before a step; null while it has not run. */
    public function neck(?Step $before = null): ?Neck
    {
        $neck = null;
        foreach ($this->runs() as $run) {
            $neck = $before === null || $run->place < $this->placeOf($before) ? $run->neck ?? $neck : $neck;
        }

        return $neck;
    }

    private function placeOf(Step $step): int
    {
        return (int) array_search($step->id, array_keys($this->steps), true);
    }

    /** The job as it stood when this step was in hand: what later steps wrote, and ordered, is not in it. */
    public function asAt(Step $step): self
    {
        $order = array_flip(array_keys($this->steps));
        $at = $order[$step->id];
        $closed = $this->closed[$step->id]->seq ?? PHP_INT_MAX;
        // It was judged by the plan that held then, at whichever step that was made.
        $alike = array_filter($this->steps, fn (Step $other) => $other->id !== $step->id && $this->areAlike($step, $other));
        $lines = array_filter($this->journal->lines, fn (Entry $line) => $line->planned !== null || isset($alike[$line->step])
            ? $line->seq < $closed
            : ($order[$line->step] ?? $at + 1) < $at || ($line->step === $step->id && ! self::closes($line)));

        return $this->withOnly(array_values($lines));
    }

    /**
     * The same job with these lines alone, taken as they are.
     *
     * @param  list<Entry>  $lines
     */
    public function withOnly(array $lines): self
    {
        return new self($this->circuit, $this->first, $this->kinds, new Journal($lines), false);
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
        $corrects = fn (Entry $line) => $line->form === Journal::CORRECT || $line->form === Journal::WITHDRAW;

        return array_filter($this->journal->lines, $corrects) !== [];
    }

    /** Whether a finished step would still be judged as it was when it was finished. */
    public function stillStands(Step $step, int $now): bool
    {
        $closed = $this->closed[$step->id] ?? null;
        if ($closed === null || $closed->form !== self::FINISH || ! $this->wasCorrected()) {
            return true;
        }
        if ($closed->values->has(self::CAME_TO) || $closed->text(self::VERDICT_IN_WORDS) === '') {
            return $closed->text(self::CAME_TO) === ($this->verdictOf($step, $now)->code ?? '');
        }
        $titles = array_map(
            fn (UnitSystem $units) => $this->verdictOf($step, $now, $units)?->title,
            UnitSystem::cases(),
        );

        return in_array($closed->text(self::VERDICT_IN_WORDS), $titles, true);
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

    /** @return list<Step> steps before this one that are still open; not those of its kind that may be done in any order */
    public function openBefore(Step $step): array
    {
        $open = [];
        foreach ($this->steps as $id => $other) {
            if ($id === $step->id) {
                break;
            }
            if (! isset($this->closed[$id]) && ! $this->areAlike($step, $other)) {
                $open[] = $other;
            }
        }

        return $open;
    }

    /** @return list<Step> open steps that may be done instead of this one, in whichever order they really come */
    public function insteadOf(Step $step): array
    {
        $open = fn (Step $other): bool => $other->id !== $step->id && ! isset($this->closed[$other->id]) && $this->areAlike($step, $other);

        return array_values(array_filter($this->steps, fn (Step $other) => $open($other) && $this->openBefore($other) === []));
    }

    /** Whether it does not matter which of two steps comes first. */
    private function areAlike(Step $one, Step $other): bool
    {
        return $one->kind === $other->kind && $this->kinds->of($one)->does(Does::AnyOrder);
    }

    public function hasAcknowledged(string $hazard): bool
    {
        foreach ($this->entries as $entry) {
            if ($entry->form === self::ACKNOWLEDGE && $entry->text('hazard') === $hazard) {
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
        return $this->ledgers[$stage->value ?? self::WHOLE] ??= $this->fold($stage->value ?? self::WHOLE);
    }

    private function fold(int $beforeStage): Ledger
    {
        $lines = [];
        foreach ($this->entries as $entry) {
            $step = $this->steps[$entry->step] ?? null;
            $counts = ! self::belongsToEveryStep($entry) || self::isAnyTime($entry);
            if ($step === null || ! $counts || $step->stage->value >= $beforeStage) {
                continue;
            }
            $kind = $this->kinds->reading($step, $entry);
            if ($kind->does(Does::MovesCoolant)) {
                array_push($lines, ...$kind->ledger($this->at($step, $entry->at), $entry));
            }
        }

        return new Ledger($this->circuit->capacityMl(), $this->plan->headspaceMl(), $lines);
    }

    /** @return array<string, PortState> by port, as the steps so far leave them */
    public function ports(int $now): array
    {
        $ports = [];
        foreach ($this->steps as $step) {
            $ports = [...$ports, ...$this->kinds->of($step)->ports($this->at($step, $now))];
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

    /** Whether a line says nothing of its own step's: finishing, passing over, a caution read, what came up. */
    public static function belongsToEveryStep(Entry $entry): bool
    {
        return self::isAnyTime($entry)
            || in_array($entry->form, [self::FINISH, self::OVERRIDE, self::ACKNOWLEDGE, self::PHOTO], true);
    }
}
