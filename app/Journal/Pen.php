<?php

declare(strict_types=1);

namespace App\Journal;

use App\Floor\Projection;
use App\Models\Container;
use App\Models\Job;
use App\Models\JournalLine;
use App\Models\Person;
use App\Record\Seal;
use App\Visits\VisitBook;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Journal;
use Aqbel\Core\Job\Life;
use Aqbel\Core\Job\NewLine;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Format\PlanCodec;
use Aqbel\Core\Plan\LeftBehind;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Stores\Inventory;
use Aqbel\Core\Writing\Clerk;
use Illuminate\Support\Facades\Context;

/**
 * Writes one line of a job's journal in one transaction: a repeated key counts once, the line is judged against the
 * state as it is at that moment (not as the sender's screen showed it), it is stored, the summary follows.
 */
final readonly class Pen
{
    /** Whole seconds, and what the network takes for one and not for the other, tell two presses no nearer than so, s. */
    private const SWAPPED_S = 2;

    public StepCatalogue $kinds;

    public Clerk $clerk;

    /**
     * @param  int  $age  seconds since the entry was made, when it had to wait for a connection, or since it happened
     * @param  bool  $asSaid  whether somebody said when it happened: then it is judged, and not moved
     */
    public function __construct(
        public Job $job,
        public Person $person,
        public string $key,
        private int $age = 0,
        private bool $asSaid = false,
    ) {
        $this->kinds = app(StepCatalogue::class);
        $this->clerk = new Clerk($this->kinds);
    }

    /** For a line more in the same press, under a key of its own: the same one when the press is sent again. */
    public function next(string $what): self
    {
        return new self($this->job, $this->person, hash('sha256', "{$this->key} {$what}"), $this->age, $this->asSaid);
    }

    /** For the same press as of now, whenever it was said to have been. */
    public function now(): self
    {
        return new self($this->job, $this->person, $this->key);
    }

    /** Whether it was made some time before it arrived. */
    public function waited(): bool
    {
        return $this->age > 0;
    }

    /** Whether a line stands under this key: then the same press came before. */
    public function hasWritten(): bool
    {
        return $this->job->lines()->where('key', $this->key)->exists();
    }

    /**
     * @param  \Closure(JobState): ?NewLine  $line
     * @return ?JobState the job with it; null where nothing was written
     */
    public function write(\Closure $line): ?JobState
    {
        Context::add('job', $this->job->number());

        return OneWriter::run(function () use ($line): ?JobState {
            if (! preg_match('/^[A-Za-z0-9-]{8,64}$/', $this->key)) {
                throw new InvalidField('finish', 'The page was incomplete. Reload it and send again.');
            }
            if ($this->hasWritten()) {
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
            (new Beside($this->job, $this->person, $this->kinds))
                ->assertNot($state, $written, $this->enteredAt($state->journal), $this->age);
            $stored = JournalLine::query()->create([
                'job_id' => $this->job->id,
                'seq' => $state->journal->last() + 1,
                'key' => $this->key,
                'person_id' => $this->person->id,
                'step' => $written->step,
                'form' => $written->form,
                'values' => self::stored($written),
                'typed' => $written->typed,
                'at' => $this->enteredAt($state->journal),
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
            (new OnTheShelf($this->job, $this->person, $this->kinds))->follow($after, $written, $stored->seq);
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

    /**
     * @param  ?int  $correcting  the line that is being replaced: the shelf is as it stood without it
     */
    public function situation(JobState $state, string $stepId, ?int $correcting = null): Situation
    {
        Context::add('step', $stepId);
        $step = $this->clerk->step($state, $stepId);

        return $state->at(
            $step,
            $this->enteredAt($state->journal),
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

    /**
     * The cautions that stood above what is written, each at the step it belongs to.
     *
     * @param  array<string, string>  $read  step by caution
     */
    public function readAbove(array $read): void
    {
        foreach ($read as $hazard => $step) {
            $this->next("caution {$hazard}")->write(fn (JobState $state) => $this->clerk->acknowledge(
                $this->situation($state, $step),
                $hazard,
            ));
        }
    }

    /**
     * When it was entered, Unix seconds: however long it waited, not before its job was planned, and not before the
     * line that waited ahead of it, where seconds and the way here would swap the two.
     */
    private function enteredAt(Journal $journal): int
    {
        $entered = now()->getTimestamp() - $this->age;
        if ($this->asSaid) {
            return $entered;
        }
        $ahead = $journal->lines[count($journal->lines) - 1] ?? null;
        $swapped = $this->age > 0
            && $ahead !== null
            && $ahead->by === (string) $this->person->id
            && $ahead->at < ($ahead->arrived ?? $ahead->at)
            && $ahead->at - $entered <= self::SWAPPED_S;

        return max(
            $swapped ? max($entered, $ahead->at) : $entered,
            min(now()->getTimestamp(), $this->job->created_at->getTimestamp()),
        );
    }

    /** @return array<string, mixed> with the plan that holds from there on, where it is planned anew */
    private static function stored(NewLine $line): array
    {
        return $line->stored()
            + ($line->planned instanceof Plan ? [Entry::PLAN => PlanCodec::write($line->planned)] : []);
    }
}
