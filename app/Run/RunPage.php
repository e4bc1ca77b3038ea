<?php

declare(strict_types=1);

namespace App\Run;

use App\Models\Container;
use App\Models\Job;
use App\Models\Person;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\ShutOffNow;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Table;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Stores\Inventory;
use Aqbel\Core\Writing\Cautions;

/** One step of a job as the run shows it: what may be entered, what it means, and the circuit beside it. */
final readonly class RunPage
{
    public StepKind $kind;

    public bool $done;

    /** Still to come: looked at, not worked on. */
    public bool $ahead;

    public ?Verdict $verdict;

    public UnitSystem $units;

    /** @var list<CameTo> what the step before came to, where this reader has just finished it */
    public array $justNow;

    private Situation $at;

    public ToFinish $toFinish;

    public ToRead $toRead;

    /** Null where nothing is. */
    private ?Asked $asked;

    public Written $written;

    /**
     * Whether what is pressed at the step says that its cautions were read: they stand above it. Before an engine is
     * started, and where nothing is entered, reading them is a press of its own.
     */
    public bool $readWithTheEntry;

    /** @var list<UnreadCaution> those of the step, or of the whole sheet */
    public array $unread;

    /** The steps done together in one press: this one and those after it in its stage; null where it stands alone. */
    public ?Sheet $sheet;

    public function __construct(
        public Job $job,
        private JobState $state,
        public Step $step,
        Person $reader,
        private StepCatalogue $kinds,
        private int $now,
        private LookedAt $looks,
    ) {
        $alone = $looks->isOneStep();
        $this->units = $reader->units;
        $this->justNow = $alone ? [] : CameTo::lately($state, $kinds, (string) $reader->id, $now, $this->units);
        $this->kind = $kinds->of($step);
        $this->done = isset($state->closed[$step->id]);
        $this->ahead = ! $this->done && ! $state->turn()->isInHand($step);
        $stores = $kinds->does($step, Does::TouchesShelf) ? Container::stores() : new Inventory;
        $this->at = ($this->done ? $state->asAt($step) : $state)->at($step, $now, $this->units, $stores);
        $this->verdict = $this->kind->verdict($this->at);
        $idle = $this->isIdle();
        $this->toFinish = new ToFinish(
            $idle ? [] : [...Cautions::open($this->at, $this->kind), ...$this->kind->open($this->at)],
            $reader->passes(),
        );
        $this->toRead = new ToRead($this->at, $this->kind, $this->done, $idle);
        // What stands open is shut, and what is missing poured on, first and by itself.
        $sheet = $alone || $idle || $kinds->first($this->at) !== [] ? null : new Sheet($job, $state, $kinds, $now, $this->units);
        $this->sheet = ($sheet->blocks ?? []) === [] ? null : $sheet;
        $this->asked = $idle ? null : new Asked(
            $this->at,
            $this->kind,
            $kinds,
            $this->toFinish->count() - ($this->toRead->withTheEntry ? count($this->toRead->unread) : 0),
            $this->toRead->withTheEntry || $this->toRead->unread === [],
            $looks->failed,
        );
        $this->written = new Written($this->at, $kinds, $looks->allEntries);
        $this->readWithTheEntry = $this->sheet !== null || ($this->toRead->withTheEntry && $this->docked() !== []);
        $this->unread = $this->sheet?->unread() ?? $this->toRead->of($step->id);
    }

    /** The page of a job in hand; null where nothing is left to do. */
    public static function of(Job $job, Person $reader, LookedAt $looks = new LookedAt): ?self
    {
        if ($job->stands()) {
            return null;
        }
        $job->loadMissing(['vehicle', 'circuit']);
        $state = $job->state();
        $step = $state->steps[$looks->step ?? ''] ?? $state->stepInHand();
        $now = now()->getTimestamp();

        return $step === null
            ? null
            : new self($job, $state, $step, $reader, app(StepCatalogue::class), $now, $looks);
    }

    /** Behind, or still to come. */
    private function isIdle(): bool
    {
        return $this->done || $this->ahead;
    }

    /** Whether its engine is to be shut off now: nothing else is shown as large. */
    public function isDanger(): bool
    {
        return ! $this->isIdle() && ShutOffNow::of($this->at, $this->kind->judgement($this->at)) !== null;
    }

    public function title(): string
    {
        return $this->kind->title($this->at);
    }

    public function why(): string
    {
        return $this->kind->why($this->at);
    }

    /** @return list<string> */
    public function instructions(): array
    {
        $says = $this->at->step->params->text('says');

        return [...$says === '' ? [] : ["The routine says: {$says}"], ...$this->kind->instructions($this->at)];
    }

    /** Before the first entry the instructions lead; afterwards the next entry does. */
    public function started(): bool
    {
        return $this->at->entries() !== [];
    }

    /** What instruments say of it. */
    public function fed(): FedBy
    {
        return $this->at->once(FedBy::class, fn () => new FedBy($this->job, $this->at, $this->kind, $this->isIdle()));
    }

    /** Whether a bucket on a scale may tell what is asked here. */
    public function isWeighed(): bool
    {
        $forms = $this->sheet === null
            ? array_map(fn (ShownForm $shown) => $shown->form, [...$this->docked(), ...$this->aside()])
            : array_map(fn (SheetBlock $block) => $block->form, $this->sheet->blocks);

        return ! $this->isIdle() && FedBy::mayBeWeighed($this->job, $forms);
    }

    public function trace(): ?TracePicture
    {
        $trace = $this->kind->trace($this->at);

        return $trace === null ? null : new TracePicture($trace, $this->units);
    }

    /** @return list<ChangedVerdict> what an earlier line put right has changed at other steps */
    public function changed(): array
    {
        return $this->isIdle()
            ? []
            : ChangedVerdict::besides($this->step, $this->job->id, $this->state, $this->kinds, $this->now, $this->units);
    }

    public function rail(): Rail
    {
        return $this->at->once(
            Rail::class,
            fn () => new Rail($this->job->id, $this->state, $this->kinds, $this->step, $this->now, $this->units),
        );
    }

    /** @return list<RailStep> what may be done instead, where it comes first */
    public function instead(): array
    {
        return $this->isIdle() ? [] : $this->rail()->instead();
    }

    public function level(): ?Level
    {
        $figure = $this->kind->figure($this->at);

        return $figure === null ? null : new Level($figure, $this->units);
    }

    public function clock(): ?ClockFace
    {
        $clock = $this->done ? null : $this->kind->clock($this->at);

        return $clock === null ? null : new ClockFace($clock, $this->now);
    }

    /** @return list<Table> */
    public function tables(): array
    {
        $order = $this->signs() ? OutOfOrder::tables($this->state, $this->kinds, $this->now, $this->units) : [];

        return $this->ahead ? [] : [...Labelled::of($this->kind->tables($this->at), $this->job, $this->now), ...$order];
    }

    /** @return list<ShownForm> what may be written at any step, besides what this one asks */
    public function anyTime(): array
    {
        return $this->asked?->anyTime() ?? [];
    }

    /** @return list<ShownForm> what is entered next, always in sight */
    public function docked(): array
    {
        return $this->sheet !== null || $this->asked === null ? [] : $this->asked->docked;
    }

    /** @return list<ShownForm> what else may be entered */
    public function aside(): array
    {
        return $this->sheet !== null || $this->asked === null ? [] : $this->asked->aside;
    }

    /** Whether finishing it is the signature: who signs says so once more. */
    public function signs(): bool
    {
        return $this->kind->does(Does::Signs);
    }

    public function circuit(): CircuitNow
    {
        return $this->at->once(
            CircuitNow::class,
            fn () => new CircuitNow($this->job, $this->state, $this->step, $this->kind, $this->units, ! $this->isIdle()),
        );
    }

    /** When and by whom it was finished; null where it is not. */
    public function finished(): ?Finished
    {
        $line = $this->state->closed[$this->step->id] ?? null;

        return $line === null ? null : new Finished($line);
    }

    public function earlier(): Earlier
    {
        $finished = $this->state->closed[$this->step->id] ?? null;

        return new Earlier($this->at, $this->kind, $finished, $this->now, $this->looks->earlier);
    }

    /** Who opened a finished step again by a correction, and when; null where nobody did. */
    public function inHandAgain(): ?string
    {
        $line = $this->done ? null : $this->state->reopened[$this->step->id] ?? null;

        return $line === null ? null : Finished::openedAgain($line);
    }

    public function ledger(): LedgerTable
    {
        $isFilled = $this->step->stage->value >= Stage::Fill->value;
        $before = $isFilled ? $this->state->ledgerBefore(Stage::Fill) : null;

        return new LedgerTable($this->state->ledger(), $this->units, $before);
    }
}
