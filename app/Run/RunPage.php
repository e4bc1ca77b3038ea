<?php

declare(strict_types=1);

namespace App\Run;

use App\Elevation\Picture;
use App\Models\Circuit;
use App\Models\Container;
use App\Models\Job;
use App\Models\Person;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Observed\CameOut;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Gate;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Table;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\AnyTime\Replan;
use Aqbel\Core\Steps\Checklist;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Stores\Inventory;
use Aqbel\Core\Writing\Cautions;
use Aqbel\Core\Writing\Clerk;

/** One step of a job as the run shows it: what may be entered, what it means, and the circuit beside it. */
final readonly class RunPage
{
    private const SHOWN_POCKETS = 3;

    private const SHOWN_OBSTACLES = 6;

    /** The newest; those before them are fetched when somebody asks. */
    private const SHOWN_ENTRIES = 50;

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

    /** @var list<Form> */
    private array $forms;

    /** @var list<Obstacle> */
    private array $obstacles;

    /** @var list<ShownForm> */
    private array $shown;

    /** @var list<EntryLine> the last one first */
    public array $entries;

    /** How many there are before those. */
    public int $earlier;

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
        private string $failed,
        bool $alone,
        bool $allEntries = false,
    ) {
        $this->units = $reader->units;
        $this->readerPasses = $reader->passes();
        $this->justNow = $alone ? [] : CameTo::lately($state, $kinds, $reader->name, $now, $this->units);
        $this->kind = $kinds->of($step);
        $this->done = isset($state->closed[$step->id]);
        $this->ahead = ! $this->done && $state->openBefore($step) !== [];
        $stores = $kinds->does($step, Does::TouchesShelf) ? Container::stores() : new Inventory;
        $this->at = ($this->done ? $state->asAt($step) : $state)->at($step, $now, $this->units, $stores);
        $this->verdict = $this->kind->verdict($this->at);
        $idle = $this->done || $this->ahead;
        $this->forms = $idle ? [] : $this->kind->forms($this->at);
        $this->obstacles = $idle
            ? []
            : [...Cautions::open($this->at, $this->kind), ...$this->kind->open($this->at)];
        $sheet = $alone || $idle ? null : new Sheet($job->id, $state, $kinds, $now, $this->units);
        $this->sheet = ($sheet->blocks ?? []) === [] ? null : $sheet;
        $this->shown = $this->sheet === null ? $this->shown() : [];
        $written = $this->at->job->writtenAt($step->id);
        $this->earlier = $allEntries ? 0 : max(0, count($written) - self::SHOWN_ENTRIES);
        $this->entries = array_map($this->said(...), array_reverse(array_slice($written, $this->earlier)));
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
        return $this->kind->instructions($this->at);
    }

    /** Before the first entry the instructions lead; afterwards the next entry does. */
    public function started(): bool
    {
        return $this->at->entries() !== [];
    }

    public function trace(): ?TracePicture
    {
        $trace = $this->kind->trace($this->at);

        return $trace === null ? null : new TracePicture($trace, $this->units);
    }

    /** @return list<RailStage> */
    public function rail(): array
    {
        return array_map($this->stage(...), Stage::cases());
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
        return $this->ahead ? [] : $this->kind->tables($this->at);
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
        return $this->done ? [] : array_values(array_filter($this->kind->hazards($this->at), fn (Hazard $hazard) => ! $hazard->isAcknowledged()));
    }

    /** @return list<UnreadCaution> those of the step, or of the whole sheet */
    public function unread(): array
    {
        $ofTheStep = fn (Hazard $hazard): UnreadCaution => new UnreadCaution($hazard, $this->step->id);

        return $this->sheet?->unread() ?? array_map($ofTheStep, $this->cautions());
    }

    /** @return list<Form> what may have been forgotten here, once it is finished */
    public function late(): array
    {
        return $this->done ? $this->kind->everything($this->at) : [];
    }

    /** When it was finished at the latest, as a time field has it. */
    public function lateUntil(): string
    {
        return date('Y-m-d\TH:i', $this->state->closed[$this->step->id]->at ?? $this->now);
    }

    /** @return list<ShownForm> what may be written at any step, besides what this one asks */
    public function anyTime(): array
    {
        if ($this->done || $this->ahead) {
            return [];
        }
        $asksItself = in_array(CameOut::FORM, array_map(fn (Form $form) => $form->name, $this->kind->everything($this->at)), true);
        $shown = [];
        foreach (array_filter(['n' => Lines::Finding->value, 'w' => $asksItself ? null : Lines::Outlet->value]) as $key => $name) {
            foreach ($this->kinds->anyTime($name)?->forms($this->at) ?? [] as $form) {
                $shown[] = new ShownForm($form, $this->failed === $name, false, $key);
            }
        }

        return $shown;
    }

    /**
     * @return list<ShownForm> what has been recorded folds away once the step can be finished: the next thing to
     * press is Finish
     */
    private function shown(): array
    {
        $shown = [];
        foreach ($this->forms as $i => $form) {
            $settled = $this->obstacles === [] && $this->at->has($form->name);
            $open = ($form->main && ! $settled) || $this->failed === $form->name;
            $done = $form->closes ? $this->cautions() === [] : $i === 0 && $open && $this->mayBeDoneInOne();
            $shown[] = new ShownForm($form, $open, $i === 0, $i === 0 ? 'e' : (string) ($i + 1), $done);
        }

        return $shown;
    }

    /**
     * @return list<ShownForm> what is entered next, always in sight: the form that stands open and what is said with
     * one press
     */
    public function docked(): array
    {
        return array_values(array_filter($this->shown, fn (ShownForm $shown) => $shown->docked()));
    }

    /** @return list<ShownForm> what else may be entered */
    public function aside(): array
    {
        return array_values(array_filter($this->shown, fn (ShownForm $shown) => ! $shown->docked()));
    }

    /**
     * Whether one entry may be all that is missing here: a step that is made of one main form, and wants one thing
     * more.
     */
    private function mayBeDoneInOne(): bool
    {
        $main = array_filter($this->kind->everything($this->at), fn (Form $form) => $form->main);

        return ! $this->done && ! $this->ahead && count($main) === 1 && $this->cautions() === []
            && (count($this->obstacles) === 1 || $this->kind instanceof Checklist);
    }

    /** @return list<Obstacle> */
    public function obstacles(): array
    {
        return array_slice($this->obstacles, 0, self::SHOWN_OBSTACLES);
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
        $forLead = array_filter($this->obstacles, fn (Obstacle $o) => $o->gate !== null && ! in_array($o->gate, $this->readerPasses, true));

        return $this->canBePassedOver() && $forLead !== [];
    }

    public function canBePassedOver(): bool
    {
        return array_filter($this->obstacles, fn (Obstacle $o) => $o->hard) === [];
    }

    private function said(Entry $e): EntryLine
    {
        return new EntryLine($e->seq, $e->at, (new Clerk($this->kinds))->say($this->at, $e), $e->person, $e->correction);
    }

    /** @return list<PhotoLine> */
    public function photos(): array
    {
        return array_map(PhotoLine::of(...), $this->state->photos($this->step->id));
    }

    /** Whether photographs of an earlier step come back beside those taken here. */
    public function compares(): bool
    {
        return ! $this->ahead && $this->kind->comparedWith($this->at) !== [];
    }

    /** @return list<PhotoLine> */
    public function photosBefore(): array
    {
        $photos = array_map(fn (Step $step) => $this->state->photos($step->id), $this->kind->comparedWith($this->at));

        return array_map(PhotoLine::of(...), array_merge(...$photos));
    }

    public function picture(): Picture
    {
        $plan = Plan::of($this->state);
        $summary = $this->job->summary; // parsed each time it is asked for
        $stage = $this->step->stage->value;
        $settled = $stage >= Stage::Fill->value && $stage < Stage::Prove->value && ! $this->kind->does(Does::Fills);

        return new Picture(
            $this->state->circuit, $summary?->runs(), pockets: $settled
                ? array_slice($plan->fill->pockets, 0, self::SHOWN_POCKETS)
                : [],
            states: $summary->ports ?? [], focus: $this->kind->port($this->step), units: $this->units, tall: true,
        );
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

    private function stage(Stage $stage): RailStage
    {
        $steps = array_filter($this->state->steps, fn (Step $s) => $s->stage === $stage);
        $open = array_diff_key($steps, $this->state->closed);
        $current = $this->step->stage === $stage;
        $first = array_key_first($open === [] ? $steps : $open) ?? $this->step->id;

        return new RailStage($stage, $current, count($steps) - count($open), count($steps), $this->href($first),
            $current ? array_values(array_map($this->railStep(...), $steps)) : []);
    }

    private function railStep(Step $step): RailStep
    {
        $closed = $this->state->closed[$step->id] ?? null;
        $title = $this->kinds->of($step)->title($this->state->at($step, $this->now, $this->units));

        return new RailStep(
            $this->href($step->id),
            $title,
            $closed !== null,
            $closed !== null && ! $closed->is(Lines::Finish),
            $step->id === $this->step->id,
        );
    }

    /** @return list<RailStep> what may be done instead, where it comes first */
    public function instead(): array
    {
        return $this->done || $this->ahead ? [] : array_map($this->railStep(...), $this->state->insteadOf($this->step));
    }

    private function href(string $step): string
    {
        return "/jobs/{$this->job->id}?step=".urlencode($step);
    }
}
