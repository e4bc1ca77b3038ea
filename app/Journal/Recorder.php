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
use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\NewLine;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Stores\Inventory;
use Aqbel\Core\Writing\Clerk;
use Illuminate\Support\Facades\Context;

/**
 * Writes a job's journal. Every write is one transaction: a repeated key counts once, the entry is judged against the
 * state as it is at that moment (not as the sender's screen showed it), the line is stored, the summary follows.
 */
final readonly class Recorder
{
    private StepCatalogue $kinds;

    private Clerk $clerk;

    /** @param  int  $age  seconds since the entry was made, when it had to wait for a connection */
    public function __construct(private Job $job, private Person $person, private string $key, private int $age = 0)
    {
        $this->kinds = app(StepCatalogue::class);
        $this->clerk = new Clerk($this->kinds);
    }

    /**
     * @param  array<mixed>  $raw
     *
     * @throws InvalidField|InvalidFields
     */
    public function record(string $stepId, string $form, array $raw): void
    {
        $this->write(fn (JobState $state) => $this->clerk->entry($this->situation($state, $stepId), $form, $raw));
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

    public function acknowledge(string $stepId, string $hazard): void
    {
        $this->write(fn (JobState $state) => $this->clerk->acknowledge($this->situation($state, $stepId), $hazard));
    }

    /** Finishes a step; with a reason it is passed over, unless the obstacle is one that is never waved through. */
    public function finish(string $stepId, string $reason): void
    {
        $this->write(fn (JobState $state) => $this->clerk->finish(
            $this->situation($state, $stepId),
            $reason,
            $this->person->passes(),
        ));
    }

    /**
     * In the same press as an entry: where that was all, and what it says may be left as it is.
     *
     * @return bool whether the step is finished now
     */
    public function finishWhereNothingIsMissing(string $stepId): bool
    {
        // A key of its own, the same one when the entry is sent again.
        $next = new self($this->job, $this->person, hash('sha256', "{$this->key} done"), $this->age);
        $finished = false;
        try {
            $next->write(function (JobState $state) use ($next, $stepId, &$finished): ?NewLine {
                $at = $next->situation($state, $stepId);
                if ($this->kinds->of($at->step)->verdict($at)?->passes() === false) {
                    return null;
                }
                $line = $this->clerk->finish($at, '');
                $finished = true;

                return $line;
            });
        } catch (InvalidField) {
            return false;
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
                $this->situation($state, $entry->step, $seq),
                $entry,
                $raw,
                $reason,
                $this->person->name,
            );
        });
    }

    public function withdraw(int $seq, string $reason): void
    {
        $this->write(
            fn (JobState $state) => $this->clerk->withdraw(
                $this->clerk->correctable($state, $seq),
                $reason,
                $this->person->name,
            ),
        );
    }

    /** @param  \Closure(JobState): ?NewLine  $line */
    private function write(\Closure $line): void
    {
        Context::add('job', $this->job->number());
        OneWriter::run(function () use ($line): void {
            if (! preg_match('/^[A-Za-z0-9-]{8,64}$/', $this->key)) {
                throw new InvalidField('finish', 'The page was incomplete. Reload it and send again.');
            }
            if ($this->job->lines()->where('key', $this->key)->exists()) {
                return;
            }
            if ($this->job->refresh()->isClosed()) {
                throw new InvalidField('finish', $this->job->signed_at !== null
                    ? 'This job is signed off. Its record stands as it is.'
                    : 'This job was given up. Its record stands as it is; plan a new one from where it stands.');
            }
            $this->job->rests_until = null;
            $state = $this->job->state();
            $written = $line($state);
            if ($written === null) {
                return;
            }
            $stored = JournalLine::query()->create([
                'job_id' => $this->job->id, 'seq' => $state->journal->last() + 1, 'key' => $this->key, 'person_id' => $this->person->id,
                'step' => $written->step, 'form' => $written->form, 'values' => $written->stored(), 'typed' => $written->typed,
                'at' => now()->getTimestamp() - $this->age,
            ]);
            $after = $state->after($stored->setRelation('person', $this->person)->entry());
            if ($this->kinds->does($state->steps[$written->step], Does::TouchesShelf)) {
                $this->followOnTheShelf($after, $written, $stored->seq);
            }
            app(Projection::class)->refresh($this->job, $after);
        });
    }

    /** What a line, or the line it corrects, takes from the shelf or puts there. */
    private function followOnTheShelf(JobState $state, NewLine $written, int $seq): void
    {
        $seq = $written->values->has('seq') ? $written->values->whole('seq') : $seq;
        $lines = [];
        foreach ($state->entries as $entry) {
            $step = $state->steps[$entry->step] ?? null;
            if ($entry->seq === $seq && $step !== null && ! JobState::belongsToEveryStep($entry)) {
                $at = $state->at($step, $entry->at, $this->person->units, Container::stores($this->job, $seq));
                $lines = $this->kinds->of($step)->shelf($at, $entry);
            }
        }
        Container::follow($this->job, $seq, $this->person, $lines);
    }

    /** @param  ?int  $correcting  the line that is being replaced: the shelf is as it stood without it */
    private function situation(JobState $state, string $stepId, ?int $correcting = null): Situation
    {
        $step = $this->clerk->step($state, $stepId);
        Context::add('step', $stepId);

        return $state->at(
            $step,
            now()->getTimestamp() - $this->age,
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
