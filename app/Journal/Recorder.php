<?php

declare(strict_types=1);

namespace App\Journal;

use App\Floor\Projection;
use App\Models\Container;
use App\Models\Job;
use App\Models\JournalLine;
use App\Models\Person;
use App\Models\Photo;
use App\Photos\Photograph;
use App\Record\Seal;
use App\Visits\VisitBook;
use Aqbel\Core\Instruments\RunLine;
use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Life;
use Aqbel\Core\Job\NewLine;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Format\PlanCodec;
use Aqbel\Core\Plan\LeftBehind;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Stores\Inventory;
use Aqbel\Core\Writing\Cautions;
use Aqbel\Core\Writing\Clerk;
use Aqbel\Core\Writing\Replanning;
use Illuminate\Support\Facades\Context;

/**
 * Writes a job's journal. Every write is one transaction: a repeated key counts once, the entry is judged against the
 * state as it is at that moment (not as the sender's screen showed it), the line is stored, the summary follows.
 */
final readonly class Recorder
{
    /** Under which a sheet says that something else than the usual is told of a step. */
    private const OTHERWISE = 'otherwise';

    private StepCatalogue $kinds;

    private Clerk $clerk;

    /**
     * @param  int  $age  seconds since the entry was made, when it had to wait for a connection, or since it happened
     * @param  bool  $asSaid  whether somebody said when it happened: then it is judged, and not moved
     */
    public function __construct(
        private Job $job,
        private Person $person,
        private string $key,
        private int $age = 0,
        private bool $asSaid = false,
    ) {
        $this->kinds = app(StepCatalogue::class);
        $this->clerk = new Clerk($this->kinds);
    }

    /**
     * @param  array<mixed>  $raw
     * @param  array<string, string>  $read  cautions that stood above it, with the step each belongs to
     * @param  string  $also  a form without fields that the same press says too; empty for none
     *
     * @throws InvalidField|InvalidFields
     */
    public function record(string $stepId, string $form, array $raw, array $read = [], string $also = ''): void
    {
        OneWriter::run(function () use ($stepId, $form, $raw, $read, $also): void {
            $this->readAbove($read);
            $this->write(fn (JobState $state) => $this->clerk->entry($this->situation($state, $stepId), $form, $raw));
            if ($also !== '') {
                $this->next("also {$also}")->write(
                    fn (JobState $state) => $this->clerk->entry($this->situation($state, $stepId), $also, []),
                );
            }
        });
    }

    /**
     * What an instrument sent, at its own time.
     *
     * @throws InvalidField where the step does not ask for that now
     */
    public function streamed(string $stepId, RunLine $line): void
    {
        $of = new self(
            $this->job,
            $this->person,
            hash('sha256', "{$this->key} {$line->form} {$line->at} {$stepId}"),
            max(0, now()->getTimestamp() - $line->at),
        );
        $of->write(
            fn (JobState $state) => $this->clerk->streamed($of->situation($state, $stepId), $line->form, $line->values),
        );
    }

    /**
     * What was forgotten at a finished step, as of the time this recorder writes at.
     *
     * @param  array<mixed>  $raw
     *
     * @throws InvalidField|InvalidFields
     */
    public function late(string $stepId, string $form, array $raw): void
    {
        $this->write(fn (JobState $state) => $this->clerk->late($this->situation($state, $stepId), $form, $raw));
    }

    /**
     * The job goes on another way from the step in hand.
     *
     * @param  array<mixed>  $raw
     *
     * @throws InvalidField
     */
    public function planAnew(array $raw): void
    {
        $this->write(function (JobState $state) use ($raw): NewLine {
            $step = $state->stepInHand() ?? throw new InvalidField('school', 'All of it is done.');

            return app(Replanning::class)->line($this->situation($state, $step->id), $raw);
        });
    }

    public function photograph(string $stepId, Photograph $photograph, string $caption): void
    {
        // Decoded and written before the lock is taken; the files go again when no line comes to point at them.
        $photo = $photograph->keep($this->job->id);
        $kept = false;
        try {
            $this->write(function (JobState $state) use ($stepId, $photo, $caption, &$kept): NewLine {
                $line = $this->clerk->photograph($this->situation($state, $stepId), $caption, $photo->id);
                Photo::query()->create($photo->getAttributes());
                $kept = true;

                return $line;
            });
        } catch (\Throwable $failed) {
            $kept = false;
            throw $failed;
        } finally {
            $kept || $photo->discard();
        }
    }

    /**
     * Cautions read together, each at the step it belongs to; every one is a line of its own.
     *
     * @param  array<string, string>  $read  step by caution
     *
     * @throws InvalidField
     */
    public function acknowledge(array $read): void
    {
        if ($read === []) {
            throw new InvalidField('hazard', 'The page was incomplete. Reload it and send again.');
        }
        OneWriter::run(fn () => $this->readAbove($read));
    }

    /** @param  array<string, string>  $read  step by caution */
    private function readAbove(array $read): void
    {
        foreach ($read as $hazard => $step) {
            $this->next("caution {$hazard}")->write(fn (JobState $state) => $this->clerk->acknowledge(
                $this->situation($state, $step, ahead: true),
                $hazard,
            ));
        }
    }

    /**
     * Several steps in one press, each as it says itself; all of it or nothing. Where one of
     * them has to be looked at before those below it, the press is refused and says so there; it
     * is taken up to that one where that is what was pressed.
     *
     * @param  array<mixed>  $raw  as typed, by step
     * @param  string  $upTo  the last step it is taken for; empty for all of them
     * @param  array<string, string>  $read  cautions that stood above it, with the step each belongs to
     *
     * @throws InvalidField|InvalidFields with fields as `sheet.step.field`, or `sheet.step.stops`
     */
    public function sheet(array $raw, string $upTo = '', array $read = []): void
    {
        OneWriter::run(function () use ($raw, $upTo, $read): void {
            $steps = array_map(strval(...), array_keys($raw));
            if ($steps !== [] && $this->job->lines()->where('key', $this->next("sheet {$steps[0]}")->key)->exists()) {
                return; // it came twice
            }
            $this->readAbove($read);
            $known = [];
            foreach ($steps as $i => $step) {
                $fields = is_array($raw[$step]) ? $raw[$step] : [];
                $other = is_string($fields[self::OTHERWISE] ?? null) ? $fields[self::OTHERWISE] : '';
                $said = $other === '' ? $fields : (is_array($fields[$other] ?? null) ? $fields[$other] : []);
                $one = $this->next("sheet {$step}");
                if ($i > 0 && ! $this->isAskedAtOnce($step)) {
                    throw new InvalidField(
                        "sheet.{$steps[$i - 1]}.stops",
                        "{$this->titleOf($step)} is asked by itself after this: what stands below waits.",
                    );
                }
                try {
                    // How warm the coolant is is asked once, and holds for those after it.
                    $known = [...$known, ...$one->atOnce($step, [...$known, ...$said], $other)];
                } catch (InvalidField|InvalidFields $invalid) {
                    throw $invalid instanceof InvalidField && $invalid->field === 'finish'
                        ? $invalid
                        : $invalid->within(rtrim("sheet.{$step}.{$other}", '.'));
                }
                $finished = $one->finishWhereNothingIsMissing($step);
                $next = $steps[$i + 1] ?? null;
                if ($next === null || $step === $upTo) {
                    return;
                }
                $state = $this->job->state();
                if (! $finished || $state->stepInHand()?->id !== $next) {
                    throw new InvalidField("sheet.{$step}.stops", $this->whyItStops($state, $step));
                }
            }
        });
    }

    /** What was said above it on a sheet may make it a step of its own. */
    private function isAskedAtOnce(string $step): bool
    {
        $at = $this->situation($this->job->state(), $step);

        return $this->kinds->of($at->step)->atOnce($at) !== null;
    }

    private function titleOf(string $step): string
    {
        $at = $this->situation($this->job->state(), $step);

        return $this->kinds->of($at->step)->title($at);
    }

    /** Why what stands below a step of a sheet is not said with it. */
    private function whyItStops(JobState $state, string $step): string
    {
        $inHand = $state->stepInHand();
        if ($inHand !== null && $inHand->id !== $step) {
            return "{$this->titleOf($inHand->id)} comes first: what stands below is asked after it.";
        }
        $at = $this->situation($state, $step);
        $kind = $this->kinds->of($at->step);
        $verdict = $kind->verdict($at);

        return $verdict === null || $verdict->passes()
            ? implode(' ', array_map(fn (Obstacle $obstacle) => $obstacle->text, $kind->open($at)))
            : trim("{$verdict->title}. {$verdict->reason}");
    }

    /**
     * @param  array<mixed>  $raw
     * @param  string  $other  the form that is said in place of the usual one; empty for that one
     * @return array<mixed> what of it is known for the steps after it
     */
    private function atOnce(string $stepId, array $raw, string $other): array
    {
        $known = [];
        $after = $this->write(function (JobState $state) use ($stepId, $raw, $other, &$known): NewLine {
            $at = $this->situation($state, $stepId);
            $form = $this->kinds->of($at->step)->atOnce($at)
                ?? throw new InvalidField('finish', 'This step has moved on since the page was loaded. It is '
                    .'shown as it is now.');

            $known = array_intersect_key($raw, array_flip($form->coolantFields()));

            return $this->clerk->entry($at, $other === '' ? $form->name : $other, $raw);
        });
        if (
            $after !== null
            && Cautions::unread($after->at($after->steps[$stepId], 0), $this->kinds->of($after->steps[$stepId])) !== []
        ) {
            throw new InvalidField('finish', 'Read the cautions first.');
        }

        return $known;
    }

    /**
     * Finishes a step; with a reason it is passed over, unless the obstacle is one that is never waved through.
     *
     * @param  ?string  $unsigned  why the record cannot be signed by whoever this is
     */
    public function finish(string $stepId, string $reason, ?string $unsigned = null): void
    {
        $this->finishWhatGoesByItself(
            $this->write(function (JobState $state) use ($stepId, $reason, $unsigned): NewLine {
                $at = $this->situation($state, $stepId);
                $line = $this->clerk->finish($at, $reason, $this->person->passes());

                return $unsigned !== null && $this->kinds->does($at->step, Does::Signs)
                    ? throw new InvalidField('known', $unsigned)
                    : $line;
            }),
        );
    }

    /** The step after it, where there is nothing to enter or to decide at it. */
    private function finishWhatGoesByItself(?JobState $state): void
    {
        $step = $state?->stepInHand();
        if ($step !== null && $this->kinds->of($step)->goesByItself($this->situation($state, $step->id))) {
            $this->finishWhereNothingIsMissing($step->id);
        }
    }

    /** A line more in the same press, under a key of its own: the same one when the press is sent again. */
    private function next(string $what): self
    {
        return new self($this->job, $this->person, hash('sha256', "{$this->key} {$what}"), $this->age, $this->asSaid);
    }

    /**
     * In the same press as an entry: where that was all, and what it says may be left as it is.
     *
     * @return bool whether the step is finished now
     */
    public function finishWhereNothingIsMissing(string $stepId): bool
    {
        $next = $this->next("done {$stepId}");
        $finished = false;
        try {
            $after = $next->write(function (JobState $state) use ($next, $stepId, &$finished): ?NewLine {
                $at = $next->situation($state, $stepId);
                // A signature is a press of its own.
                if ($this->kinds->does($at->step, Does::Signs) || ! $this->kinds->of($at->step)->goesOn($at)) {
                    return null;
                }
                $line = $this->clerk->finish($at, '');
                $finished = true;

                return $line;
            });
        } catch (InvalidField) {
            return false;
        }
        if ($finished) {
            $this->finishWhatGoesByItself($after);
        }

        return $finished;
    }

    /**
     * Replaces what an earlier line says by a correcting line.
     *
     * @param  array<mixed>  $raw
     */
    public function correct(int $seq, array $raw, string $reason): void
    {
        $this->write(function (JobState $state) use ($seq, $raw, $reason): NewLine {
            $entry = $this->clerk->correctable($state, $seq);

            return $this->clerk->correct(
                $this->situation($state, $this->clerk->stepOf($state, $entry)->id, $seq, ahead: true),
                $entry,
                $raw,
                $reason,
                (string) $this->person->id,
            );
        });
    }

    public function withdraw(int $seq, string $reason): void
    {
        $this->write(
            function (JobState $state) use ($seq, $reason): NewLine {
                $entry = $this->clerk->correctable($state, $seq);
                $at = $this->situation($state, $this->clerk->stepOf($state, $entry)->id, $seq, ahead: true);

                return $this->clerk->withdraw($at, $entry, $reason, (string) $this->person->id);
            },
        );
    }

    /**
     * @param  \Closure(JobState): ?NewLine  $line
     * @return ?JobState the job with it; null where nothing was written
     */
    private function write(\Closure $line): ?JobState
    {
        Context::add('job', $this->job->number());

        return OneWriter::run(function () use ($line): ?JobState {
            if (! preg_match('/^[A-Za-z0-9-]{8,64}$/', $this->key)) {
                throw new InvalidField('finish', 'The page was incomplete. Reload it and send again.');
            }
            if ($this->job->lines()->where('key', $this->key)->exists()) {
                return null;
            }
            if ($this->job->refresh()->stands()) {
                throw new InvalidField('finish', $this->job->life() !== Life::GivenUp
                    ? 'This job is signed off. Its record stands as it is.'
                    : 'This job was given up. Its record stands as it is; plan a new one from where it stands.');
            }
            $this->job->rests_until = null;
            $state = $this->job->state();
            $written = $line($state);
            if ($written === null) {
                return null;
            }
            $stored = JournalLine::query()->create([
                'job_id' => $this->job->id,
                'seq' => $state->journal->last() + 1,
                'key' => $this->key,
                'person_id' => $this->person->id,
                'step' => $written->step,
                'form' => $written->form,
                'values' => self::stored($written),
                'typed' => $written->typed,
                'at' => $this->enteredAt(),
                'arrived' => now()->getTimestamp(),
            ]);
            $after = $state->after(
                $written->entry(
                    $stored->seq,
                    $stored->at,
                    $this->person->name,
                    $stored->arrived,
                    (string) $this->person->id,
                ),
            );
            if ($this->kinds->does($state->steps[$written->step], Does::TouchesShelf)) {
                $this->followOnTheShelf($after, $written, $stored->seq);
            }
            app(Projection::class)->refresh($this->job, $after);
            if ($this->job->signed_at !== null) {
                $this->job->update([
                    'seal' => Seal::of($this->job),
                    'left_behind' => LeftBehind::signed($after, $this->job->number())?->toArray(),
                ]);
                (new VisitBook($this->job))->takeOverFromBefore($this->person);
                (new VisitBook($this->job))->bookWhatWasAgreed($after);
            }

            return $after;
        });
    }

    /** When it was entered, Unix seconds: however long it waited, not before its job was planned. */
    private function enteredAt(): int
    {
        $entered = now()->getTimestamp() - $this->age;

        return $this->asSaid
            ? $entered
            : max($entered, min(now()->getTimestamp(), $this->job->created_at->getTimestamp()));
    }

    /** @return array<string, mixed> with the plan that holds from there on, where it is planned anew */
    private static function stored(NewLine $line): array
    {
        return $line->stored()
            + ($line->planned instanceof Plan ? [Entry::PLAN => PlanCodec::write($line->planned)] : []);
    }

    /** What a line, or the line it corrects, takes from the shelf or puts there. */
    private function followOnTheShelf(JobState $state, NewLine $written, int $seq): void
    {
        $seq = $written->values->has('seq') ? $written->values->whole('seq') : $seq;
        $lines = [];
        foreach ($state->entries as $entry) {
            $step = $state->steps[$entry->step] ?? null;
            if ($entry->seq === $seq && $step !== null && ! $entry->belongsToEveryStep()) {
                $at = $state->at($step, $entry->at, $this->person->units, Container::stores($this->job, $seq));
                $lines = $this->kinds->of($step)->shelf($at, $entry);
            }
        }
        Container::follow($this->job, $seq, $this->person, $lines);
    }

    /**
     * @param  ?int  $correcting  the line that is being replaced: the shelf is as it stood without it
     * @param  bool  $ahead  whether the step may still be to come
     */
    private function situation(JobState $state, string $stepId, ?int $correcting = null, bool $ahead = false): Situation
    {
        $step = $ahead
            ? $state->steps[$stepId] ?? $this->clerk->step($state, $stepId)
            : $this->clerk->step($state, $stepId);
        Context::add('step', $stepId);

        return $state->at(
            $step,
            $this->enteredAt(),
            $this->person->units,
            $this->stores($step, $correcting),
        );
    }

    private function stores(Step $step, ?int $correcting): Inventory
    {
        return $this->kinds->does($step, Does::TouchesShelf)
            ? Container::stores($this->job, $correcting)
            : new Inventory;
    }
}
