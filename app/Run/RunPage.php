<?php

declare(strict_types=1);

namespace App\Run;

use App\Elevation\Picture;
use App\Instruments\Scale;
use App\Instruments\Watch;
use App\Models\Circuit;
use App\Models\Container;
use App\Models\Job;
use App\Models\Person;
use Aqbel\Core\Flow\PortRun;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Job\WatchedBy;
use Aqbel\Core\Judged\ShutOffNow;
use Aqbel\Core\Observed\VesselReading;
use Aqbel\Core\Plan\NoseUp;
use Aqbel\Core\Plan\Vents;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Gate;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Table;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\AnyTime\Replan;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Stores\Inventory;
use Aqbel\Core\Writing\Cautions;
use Aqbel\Core\Writing\Changed;

/** One step of a job as the run shows it: what may be entered, what it means, and the circuit beside it. */
final readonly class RunPage
{
    /** Less air than this in a passage is not named, mL. */
    private const HARDLY_ML = 60.0;

    private const SHOWN_POCKETS = 3;

    private const SHOWN_OBSTACLES = 6;

    private const SHOWN_CHANGES = 8;

    public StepKind $kind;

    public bool $done;

    /** Still to come: looked at, not worked on. */
    public bool $ahead;

    public ?Verdict $verdict;

    public UnitSystem $units;

    /** @var list<Gate> */
    private array $readerPasses;

    /** @var list<CameTo> what the step before came to, where this reader has just finished it */
    public array $justNow;

    private Situation $at;

    /** @var list<Obstacle> */
    private array $obstacles;

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

    /**
     * @param  string  $failed  name of the form that was just refused
     * @param  bool  $alone  whether this one step was asked for
     * @param  bool  $allEntries  whether those before the newest were asked for
     */
    public function __construct(
        public Job $job,
        private JobState $state,
        public Step $step,
        Person $reader,
        private StepCatalogue $kinds,
        private int $now,
        string $failed,
        bool $alone,
        bool $allEntries = false,
    ) {
        $this->units = $reader->units;
        $this->readerPasses = $reader->passes();
        $this->justNow = $alone ? [] : CameTo::lately($state, $kinds, (string) $reader->id, $now, $this->units);
        $this->kind = $kinds->of($step);
        $this->done = isset($state->closed[$step->id]);
        $this->ahead = ! $this->done && $state->openBefore($step) !== [];
        $stores = $kinds->does($step, Does::TouchesShelf) ? Container::stores() : new Inventory;
        $this->at = ($this->done ? $state->asAt($step) : $state)->at($step, $now, $this->units, $stores);
        $this->verdict = $this->kind->verdict($this->at);
        $idle = $this->done || $this->ahead;
        $this->obstacles = $idle
            ? []
            : [...Cautions::open($this->at, $this->kind), ...$this->kind->open($this->at)];
        $sheet = $alone || $idle ? null : new Sheet($job, $state, $kinds, $now, $this->units);
        $this->sheet = ($sheet->blocks ?? []) === [] ? null : $sheet;
        $this->asked = $idle ? null : new Asked(
            $this->at,
            $this->kind,
            $kinds,
            count($this->obstacles) - ($this->mayReadWithTheEntry() ? count($this->cautions()) : 0),
            $this->mayReadWithTheEntry() || $this->cautions() === [],
            $failed,
        );
        $this->written = new Written($this->at, $kinds, $allEntries);
        $this->readWithTheEntry = $this->sheet !== null || ($this->mayReadWithTheEntry() && $this->docked() !== []);
        $this->unread = $this->sheet?->unread()
            ?? array_map(fn (Hazard $hazard): UnreadCaution => new UnreadCaution($hazard, $step->id), $this->cautions());
    }

    /**
     * The page of a job in hand.
     *
     * @param  ?string  $asked  a step somebody looks at; the one in hand where it is none of this job
     * @param  string  $failed  name of the form that was just refused
     * @return ?self null where nothing is left to do
     */
    public static function of(
        Job $job,
        Person $reader,
        ?string $asked,
        string $failed = '',
        bool $allEntries = false,
    ): ?self {
        if ($job->stands()) {
            return null;
        }
        $job->loadMissing(['vehicle', 'circuit']);
        $state = $job->state();
        $step = $state->steps[$asked ?? ''] ?? $state->stepInHand();
        $alone = $asked !== null || $failed !== '';

        return $step === null
            ? null
            : new self(
                $job,
                $state,
                $step,
                $reader,
                app(StepCatalogue::class),
                now()->getTimestamp(),
                $failed,
                $alone,
                $allEntries,
            );
    }

    /** A caution that came up after something was written is read by itself: nothing more may be to enter. */
    private function mayReadWithTheEntry(): bool
    {
        return ! $this->kind->does(Does::RunsEngine) && ! $this->started();
    }

    /** Whether its engine is to be shut off now: nothing else is shown as large. */
    public function isDanger(): bool
    {
        return ! $this->done && ! $this->ahead && ShutOffNow::of($this->at, $this->kind->judgement($this->at)) !== null;
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

    /** Whether instruments send what would be read by hand. */
    public function isFed(): bool
    {
        return $this->instruments()?->sends() === true;
    }

    /**
     * Whether somebody’s own press comes before anything that a gauge shows: the start of an engine, the pumping up.
     */
    public function startsByHand(): bool
    {
        return ! $this->started()
            && in_array($this->kind->watchedBy(), [WatchedBy::Engine, WatchedBy::PressureGauge], true);
    }

    /** Whether a bucket on a scale may tell what is asked here. */
    public function isWeighed(): bool
    {
        $forms = $this->sheet === null
                ? array_map(fn (ShownForm $shown) => $shown->form, [...$this->docked(), ...$this->aside()])
                : array_map(fn (SheetBlock $block) => $block->form, $this->sheet->blocks);
        $asksVolume = fn (Form $form): bool => array_filter(
            $form->fields,
            fn (Field $field) => $field->name === VesselReading::VOLUME,
        ) !== [];

        return ! $this->done && ! $this->ahead && array_filter($forms, $asksVolume) !== [] && Scale::isThere($this->job);
    }

    /** Null where no instrument says anything of this step. */
    public function instruments(): ?Instruments
    {
        return $this->done || $this->ahead || ! (Watch::runs($this->at) || Watch::needle($this->at) !== null)
            ? null
            : $this->at->once(Instruments::class, fn () => new Instruments($this->job, $this->at, url('/')));
    }

    public function trace(): ?TracePicture
    {
        $trace = $this->kind->trace($this->at);

        return $trace === null ? null : new TracePicture($trace, $this->units);
    }

    /** @return list<ChangedVerdict> what an earlier line put right has changed at other steps */
    public function changed(): array
    {
        $changed = $this->done || $this->ahead ? [] : Changed::byTheNewest($this->state, $this->now, $this->units);
        // That of the step shown stands large on it.
        $changed = array_values(array_filter($changed, fn (Changed $one) => $one->step->id !== $this->step->id));

        return array_map(fn (Changed $one) => new ChangedVerdict(
            $this->kinds->of($one->step)->title($this->state->at($one->step, $this->now, $this->units)),
            "/jobs/{$this->job->id}?step=".urlencode($one->step->id),
            $one->before,
            $one->now,
        ), array_slice($changed, 0, self::SHOWN_CHANGES));
    }

    public function rail(): Rail
    {
        return new Rail($this->job->id, $this->state, $this->kinds, $this->step, $this->now, $this->units);
    }

    /** @return list<RailStep> what may be done instead, where it comes first */
    public function instead(): array
    {
        return $this->done || $this->ahead ? [] : $this->rail()->instead();
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

    /** Who finished it, when, and why it was passed over where it was. */
    public function finished(): ?string
    {
        $closed = $this->state->closed[$this->step->id] ?? null;
        if ($closed === null) {
            return null;
        }
        $when = "{$closed->person} at ".date('H:i', $closed->at);

        return match ($closed->form) {
            Lines::Replan->value => "Left by {$when}: it goes on {$closed->text(Replan::SAID)}.",
            Lines::Override->value => "Finished by {$when}, passed over: “{$closed->text('reason')}”.",
            default => "Finished by {$when}.",
        };
    }

    /** @return list<Hazard> cautions nobody has read in this job */
    public function cautions(): array
    {
        return $this->done || $this->ahead ? [] : Cautions::unread($this->at, $this->kind);
    }

    /** @return list<Hazard> what is shown wherever it arises, and asks for no press */
    public function shownHazards(): array
    {
        return $this->done
            ? []
            : array_values(
                array_filter($this->kind->hazards($this->at), fn (Hazard $hazard) => ! $hazard->isAcknowledged()),
            );
    }

    /** When it was finished at the latest, as a time field has it. */
    public function lateUntil(): string
    {
        return date('Y-m-d\TH:i', $this->state->closed[$this->step->id]->at ?? $this->now);
    }

    /** @return list<Form> what may have been forgotten here, once it is finished */
    public function late(): array
    {
        return $this->done ? $this->kind->everything($this->at) : [];
    }

    /** @return list<ShownForm> what may be written at any step, besides what this one asks */
    public function anyTime(): array
    {
        return $this->asked?->anyTime() ?? [];
    }

    /** @return list<ShownForm> what is entered next, always in sight */
    public function docked(): array
    {
        return $this->sheet !== null || $this->asked === null ? [] : $this->asked->docked();
    }

    /** @return list<ShownForm> what else may be entered */
    public function aside(): array
    {
        return $this->sheet !== null || $this->asked === null ? [] : $this->asked->aside();
    }

    /** @return list<Obstacle> */
    public function obstacles(): array
    {
        return array_slice($this->obstacles, 0, self::SHOWN_OBSTACLES);
    }

    /** Whether finishing it is the signature: who signs says so once more. */
    public function signs(): bool
    {
        return $this->kind->does(Does::Signs);
    }

    public function canFinish(): bool
    {
        return $this->obstacles === [];
    }

    /** Whether the circuit was changed after the job was planned: it goes by the revision it was planned on. */
    public function newerRevision(): bool
    {
        return Circuit::query()->where('key', $this->job->circuit->key)->where(
            'revision',
            '>',
            $this->job->circuit->revision,
        )->exists();
    }

    /** Who opened a finished step again by a correction, and when; null where nobody did. */
    public function inHandAgain(): ?string
    {
        $line = $this->state->reopened[$this->step->id] ?? null;

        return $line === null || $this->done
            ? null
            : "In hand again: {$line->person} changed a line at ".date('H:i', $line->at).', so it is judged anew.';
    }

    /** What is missing may be passed over, but not by this reader. */
    public function waitsForLead(): bool
    {
        $forLead = array_filter(
            $this->obstacles,
            fn (Obstacle $o) => $o->gate !== null && ! in_array($o->gate, $this->readerPasses, true),
        );

        return $this->canBePassedOver() && $forLead !== [];
    }

    public function canBePassedOver(): bool
    {
        return array_filter($this->obstacles, fn (Obstacle $o) => $o->hard) === [];
    }

    /**
     * Whether what the step predicts hangs on how well heights are
     * known: where air is let out, and filled up after it.
     */
    public function hangsOnHeights(): bool
    {
        return ! $this->done && $this->step->stage === Stage::Fill;
    }

    /** Where air leaves, and in what order, while it is filled; null where it does not leave by itself. */
    public function vents(): ?Vents
    {
        return $this->done || $this->ahead || $this->step->stage !== Stage::Fill || ! $this->kind->does(Does::Fills)
            ? null
            : Vents::of($this->state, $this->job->summary->ports ?? []);
    }

    /** “Air leaves next at Heater bleed screw, when 1.20 L more is in; then at …”; empty where it does not. */
    public function airLeaves(): string
    {
        $next = $this->vents()->next ?? [];
        if ($next === []) {
            return '';
        }
        $label = fn (PortRun $run): string => $this->state->circuit->ports[$run->port]->label;
        $then = array_map($label, array_slice($next, 1));

        return "Air leaves next at {$label($next[0])}, "
            .($next[0]->atMl > 0.0
                ? 'when '.$this->units->format($next[0]->atMl, Dimension::Volume).' more is in'
                : 'any moment now')
            .($then === [] ? '.' : '; then at '.implode(', ', $then).'.');
    }

    public function picture(): Picture
    {
        $summary = $this->job->summary; // parsed each time it is asked for
        $runs = $summary?->runs();
        $air = $runs === null || $this->kind->does(Does::Fills)
                ? []
                : $runs->trapped($this->state->circuit)->above(self::HARDLY_ML)->byPart($this->state->circuit);

        $vents = $this->vents();

        return new Picture(
            $this->state->circuit,
            $runs,
            NoseUp::mm($this->state),
            states: $summary->ports ?? [],
            focus: $this->kind->port($this->step),
            notes: $this->howToReach(),
            units: $this->units,
            tall: true,
            air: array_slice($air, 0, self::SHOWN_POCKETS),
            open: $vents->open ?? [],
            next: $vents->next[0]->port ?? null,
        );
    }

    /** @return array<string, string> how the step's own point is reached and closed, by port */
    private function howToReach(): array
    {
        $port = $this->state->circuit->ports[$this->kind->port($this->step) ?? ''] ?? null;

        return $port === null
            ? []
            : [
                $port->id => implode(
                    ' · ',
                    array_filter([
                        $port->access,
                        $port->tool,
                        $port->torqueNm === null ? '' : $this->units->format($port->torqueNm, Dimension::Torque),
                        $port->washer,
                    ]),
                ),
            ];
    }

    public function ledger(): LedgerTable
    {
        $filled = $this->step->stage->value >= Stage::Fill->value;

        return new LedgerTable(
            $this->state->ledger(),
            $this->units,
            $filled ? $this->state->ledgerBefore(Stage::Fill) : null,
        );
    }
}
