<?php

declare(strict_types=1);

namespace App\Record;

use App\Elevation\Picture;
use App\Instruments\PaperCurve;
use App\Models\Job;
use App\Models\Shop;
use App\Models\Visit;
use App\Run\EntryLine;
use App\Run\PhotoLine;
use App\Visits\VisitBook;
use App\Visits\VisitRow;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\VacuumHeld;
use Aqbel\Core\Observed\CoolantRead;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Observed\ToppedUp;
use Aqbel\Core\Plan\NextChange;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\AnyTime\Replan;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Visits\DaysAfterWords;
use Aqbel\Core\Visits\VisitForm;
use Aqbel\Core\Writing\EntryForm;
use Illuminate\Support\Facades\Cache;

/** The record of a job as a printable sheet, in the reader's units. */
final readonly class RecordSheet
{
    private const KEPT_S = 7 * 86400;

    private Plan $plan;

    private VisitBook $book;

    public function __construct(
        public Job $job,
        public Shop $shop,
        private JobState $state,
        public UnitSystem $units,
        private StepCatalogue $kinds,
        private int $now,
    ) {
        $this->plan = Plan::of($state);
        $this->book = new VisitBook($job);
    }

    /** Where a job that came from elsewhere was written; empty of one of this shop. */
    public function cameFrom(): string
    {
        $told = $this->foreign();

        return $told === []
            ? ''
            : 'Brought in from another shop, '."where it is record {$told['number']}. Nothing is written on it here.";
    }

    /** @return array<string, string> what a document that came from elsewhere says of its job */
    private function foreign(): array
    {
        $document = $this->job->document === null ? null : json_decode($this->job->document, true);
        $job = is_array($document) && is_array($document['job'] ?? null) ? $document['job'] : [];

        return $this->job->document === null
            ? []
            : array_map(strval(...), array_filter($job, is_scalar(...))) + ['number' => '', 'planned_by' => ''];
    }

    public function progress(): string
    {
        return count($this->state->closed).' of '.count($this->state->steps).' steps finished.';
    }

    /** Who gave it up and why; empty where nobody did. */
    public function abandoned(): string
    {
        return $this->job->abandoned_at === null
            ? ''
            : "Given up {$this->job->abandoned_at->format('Y-m-d H:i')} by {$this->job->abandoner?->name}: "
                ."{$this->job->abandoned_because}";
    }

    /** Who signed it; empty while nobody has. */
    public function signedBy(): string
    {
        $closed = array_values($this->state->closed);

        return $this->job->signed_at === null || $closed === []
            ? ''
            : "Signed {$this->job->signed_at->format('Y-m-d H:i')} by {$closed[count($closed) - 1]->person}.";
    }

    /** What it was sealed with, in groups that can be compared by eye; empty where it was not. */
    public function seal(): string
    {
        return trim(chunk_split((string) $this->job->seal, 8, ' '));
    }

    /** Whether all of it is as it was signed; null where nothing tells. */
    public function holds(): ?bool
    {
        return Seal::holds($this->job);
    }

    public function planned(): string
    {
        $school = lcfirst(Plan::of($this->state->withOnly([]))->school->label());
        $complaint = mb_strtolower($this->plan->choices->complaint->label());
        $turns = array_filter($this->state->cameUp(), fn (Entry $entry) => $entry->is(Lines::Replan));
        $turned = fn (Entry $entry): string => ' From '
            .date('H:i', $entry->at)
            ." on {$entry->text(Replan::SAID)}, {$entry->person}"
            .($entry->text(Replan::WHY) === '' ? '' : ": {$entry->text(Replan::WHY)}")
            .'.';

        $planner = $this->foreign()['planned_by'] ?? $this->job->planner->name;

        return "Planned by {$planner}, {$school}, circuit revision {$this->job->circuit->revision}. "
            ."Complaint: {$complaint}.".implode('', array_map($turned, $turns)).$this->notPressed();
    }

    /**
     * Why a vacuum fill was not pressed afterwards, by the rule of the house; empty where it was, or nothing was held.
     */
    private function notPressed(): string
    {
        return VacuumHeld::proved($this->state) !== true || $this->state->stepsOf('pressure_test') !== []
            ? ''
            : " Not pressed after the vacuum, by the rule of the house: {$this->plan->rules()->holdIsEnoughBecause}";
    }

    /** @return list<list<string>> what, volume, ± */
    public function quantities(): array
    {
        $rows = [];
        foreach ($this->state->ledger()->lines as $line) {
            $within = $line->overMark ? 'by the sums' : "± {$this->volume($line->toldWithinMl())}";
            $rows[] = [$line->label, $this->volume($line->ml), $within];
        }

        return $rows;
    }

    /** @return list<list<string>> the sums */
    public function sums(): array
    {
        $ledger = $this->state->ledger();
        $share = fn (?float $share): string => $share === null ? '–' : $this->units->format($share, Unit::Percent);

        return [
            ['In the circuit', $this->volume($ledger->contentMl), "± {$this->volume($ledger->plusMinusMl)}"],
            [
                'Missing up to the cold mark, by these numbers',
                $this->volume($ledger->trappedAirMl()),
                "± {$this->volume($ledger->trappedAirToldWithinMl())}",
            ],
            ['Old coolant left', $this->volume($ledger->oldMl), $share($ledger->oldShare())],
            [
                'Capacity, room at the cold mark',
                $this->volume($ledger->capacityMl),
                $this->volume($ledger->headspaceMl),
            ],
            ['Glycol, planned and reached', $share($this->plan->choices->targetFraction), $share($ledger->fraction())],
        ];
    }

    /** Null while nothing is known of what is inside. */
    public function contentBar(): ?ContentBar
    {
        return $this->state->ledger()->lines === [] ? null : new ContentBar($this->state->ledger());
    }

    public function nextChange(): string
    {
        return $this->plan->choices->drains === []
            ? ''
            : NextChange::after($this->plan->choices, $this->units, $this->state->ledger()->oldShare());
    }

    public function watch(): string
    {
        return implode('; ', array_map($this->kinds->sayWatch(...), $this->job->summary->watch ?? []));
    }

    /** @return list<PassedStep> */
    public function passedOver(): array
    {
        $passed = [];
        foreach ($this->state->closed as $id => $entry) {
            if ($entry->is(Lines::Override) && isset($this->state->steps[$id])) {
                $passed[] = new PassedStep(
                    $this->titleOf($this->state->steps[$id]),
                    $entry->text('reason'),
                    "{$entry->person}, ".date('Y-m-d H:i', $entry->at),
                );
            }
        }

        return $passed;
    }

    /**
     * Stages in which something was written. Every step is judged as it stood when it was in hand, which takes a fold
     * each, and every entry is said by its form: remembered until the journal grows.
     *
     * @return list<array{stage: Stage, steps: non-empty-list<RecordStep>}>
     */
    public function stages(): array
    {
        $key = "story.{$this->job->id}.{$this->state->journal->last()}.{$this->units->value}";

        return Cache::remember($key, self::KEPT_S, $this->written(...));
    }

    /** The circuit as its sums left it. */
    public function picture(): Picture
    {
        return new Picture($this->state->circuit, $this->job->summary?->runs());
    }

    /** @return list<PhotoLine> */
    public function photos(): array
    {
        return array_map(PhotoLine::of(...), $this->state->photos());
    }

    /** @return list<PaperCurve> */
    public function curves(): array
    {
        return PaperCurve::all($this->job, $this->state, $this->kinds, $this->units);
    }

    /** @return list<VisitRow> */
    public function visits(): array
    {
        $form = VisitForm::of($this->state->circuit, $this->plan->rules()->vessels);
        $made = $this->book->all()->reject(fn (Visit $visit) => $visit->isDue());

        return array_values($made->map(fn (Visit $visit) => VisitRow::of($visit, $form))->all());
    }

    public function daysAfter(): ?Verdict
    {
        $says = $this->book->says($this->state);

        return $says === null ? null : DaysAfterWords::of($says, $this->units);
    }

    public function isDue(): bool
    {
        return $this->book->all()->contains(fn (Visit $visit) => $visit->isDue());
    }

    /** @return list<RecordRound> warm-ups and cold levels in order, with what each took */
    public function rounds(): array
    {
        $key = "rounds.{$this->job->id}.{$this->state->journal->last()}.{$this->units->value}";

        return Cache::remember($key, self::KEPT_S, $this->ran(...));
    }

    /** @return list<RecordRound> */
    private function ran(): array
    {
        $taken = [];
        foreach (['heat_cycle', 'cold_level', 'drive'] as $kind) {
            foreach ($this->state->stepsOf($kind) as $step) {
                if ($this->state->entriesOf($step->id) !== []) {
                    $taken[$step->id] = ToppedUp::sumMl($this->state->observed($step->id, ToppedUp::class));
                }
            }
        }
        $most = max([1.0, ...$taken]);
        $rounds = [];
        foreach (array_intersect_key($this->state->steps, $taken) as $id => $step) {
            $hottest = [
                ...array_map(fn (CoolantRead $read) => $read->celsius, $this->state->observed($id, CoolantRead::class)),
                ...array_map(fn (HotReading $read) => $read->hottestC(), $this->state->observed($id, HotReading::class)),
            ];
            $rounds[] = new RecordRound(
                $this->titleOf($step),
                $hottest === [] ? '' : $this->units->format(max($hottest), Dimension::Temperature),
                $taken[$id] > 0.0 ? $this->units->format($taken[$id], $this->units->small()) : '–',
                $taken[$id] / $most,
                $this->state->verdictOf($step, $this->now, $this->units)->title ?? '',
            );
        }

        return $rounds;
    }

    /** @return list<array{stage: Stage, steps: non-empty-list<RecordStep>}> */
    private function written(): array
    {
        $stages = [];
        $before = null;
        foreach (Stage::asTheyCome($this->state->steps) as $stage) {
            $steps = [];
            foreach ($this->state->steps as $id => $step) {
                $entries = $this->state->writtenAt($id);
                if ($step->stage === $stage && $entries !== []) {
                    $lines = [];
                    foreach ($entries as $entry) {
                        $lines[] = $this->line($step, $entry, $before);
                        $before = $entry;
                    }
                    $verdict = $this->state->verdictOf($step, $this->now, $this->units)->title ?? '';
                    $steps[] = new RecordStep($this->titleOf($step), $verdict, $lines);
                }
            }
            if ($steps !== []) {
                $stages[] = ['stage' => $stage, 'steps' => $steps];
            }
        }

        return $stages;
    }

    private function line(Step $step, Entry $entry, ?Entry $before): StoryLine
    {
        $day = fn (?Entry $of): string => $of === null ? '' : date('m-d', $of->at);
        $waited = EntryLine::waited($entry);

        return new StoryLine(
            date($day($entry) === $day($before) ? 'H:i' : 'm-d H:i', $entry->at),
            (new EntryForm($this->kinds))->say($this->state->at($step, $this->now, $this->units), $entry)
                .($waited === '' ? '' : " ({$waited})"),
            $entry->person === $before?->person ? '' : $entry->person,
            $entry->correction,
        );
    }

    private function titleOf(Step $step): string
    {
        return $this->kinds->of($step)->title($this->state->at($step, $this->now, $this->units));
    }

    private function volume(float $ml): string
    {
        return $this->units->format($ml, Dimension::Volume);
    }
}
