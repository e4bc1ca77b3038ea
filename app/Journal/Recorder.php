<?php

declare(strict_types=1);

namespace App\Journal;

use App\Floor\Projection;
use App\Models\Container;
use App\Models\Job;
use App\Models\JournalLine;
use App\Models\Person;
use App\Photos\Photograph;
use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Journal;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Stores\Inventory;
use Illuminate\Support\Facades\Context;
use Illuminate\Support\Facades\DB;

/**
 * Writes a job's journal. Every write is one transaction: a repeated key counts once, the entry is judged against the
 * state as it is at that moment (not as the sender's screen showed it), the line is stored, the summary follows.
 */
final readonly class Recorder
{
    private const LEAST_REASON = 10;

    /** @param  int  $age  seconds since the entry was made, when it had to wait for a connection */
    public function __construct(private Job $job, private Person $person, private string $key, private int $age = 0)
    {
    }

    /**
     * @param  array<mixed>  $raw
     *
     * @throws InvalidField|InvalidFields
     */
    public function record(string $stepId, string $formName, array $raw): void
    {
        $this->write(function (JobState $state) use ($stepId, $formName, $raw): array {
            $at = $this->situation($state, $stepId);
            $form = self::form(StepCatalogue::of($at->step)->forms($at), $formName);
            $read = $form->read($raw, $this->person->units);

            return [$stepId, $formName, $this->admitted($at, $formName, $read['values']), $read['typed'], $form->say($read['values'], $read['typed'])];
        });
    }

    public function photograph(string $stepId, Photograph $photograph, string $caption): void
    {
        $stored = null;
        try {
            $this->write(function (JobState $state) use ($stepId, $photograph, $caption, &$stored): array {
                $this->situation($state, $stepId);
                $form = FormOf::photograph();
                $read = $form->read(['caption' => $caption], $this->person->units);
                $stored = $photograph->keep($this->job->id);

                return [$stepId, JobState::PHOTO, [...$read['values'], 'photo' => $stored->id], [], $form->say($read['values'], [])];
            });
        } catch (\Throwable $failed) {
            array_map(fn (bool $small) => $stored === null ?: @unlink($stored->path($small)), [false, true]);
            throw $failed;
        }
    }

    public function acknowledge(string $stepId, string $hazard): void
    {
        $this->write(function (JobState $state) use ($stepId, $hazard): ?array {
            $at = $this->situation($state, $stepId);
            foreach (StepCatalogue::of($at->step)->hazards($at) as $known) {
                if ($known->value === $hazard) {
                    return $state->hasAcknowledged($hazard) ? null : [$stepId, JobState::ACKNOWLEDGE, ['hazard' => $hazard], []];
                }
            }
            throw new InvalidField('hazard', 'This caution does not belong to this step.');
        });
    }

    /** Finishes a step; with a reason it is passed over, unless the obstacle is one that is never waved through. */
    public function finish(string $stepId, ?string $reason): void
    {
        $this->write(function (JobState $state) use ($stepId, $reason): array {
            $at = $this->situation($state, $stepId);
            if (isset($state->closed[$stepId])) {
                throw new InvalidField('finish', "{$state->closed[$stepId]->person} finished this step at ".date('H:i', $state->closed[$stepId]->at).'. Go on with the step in hand.');
            }
            $kind = StepCatalogue::of($at->step);
            $obstacles = [...self::cautions($at), ...$kind->obstacles($at)];
            $hard = array_values(array_filter($obstacles, fn (Obstacle $o) => $o->hard));
            if ($hard !== []) {
                throw new InvalidField('finish', $hard[0]->text);
            }
            $reason = trim((string) $reason);
            if ($obstacles !== [] && $reason === '') {
                throw new InvalidField('finish', $obstacles[0]->text);
            }
            if ($reason !== '' && mb_strlen($reason) < self::LEAST_REASON) {
                throw new InvalidField('reason', 'Write the reason out, ten letters or more; it stays in the record.');
            }
            $values = ['orders' => array_map(fn (Step $s) => $s->toArray(), $kind->orders($at)), 'verdict' => $kind->judge($at)?->verdict];

            return $obstacles === []
                ? [$stepId, JobState::FINISH, $values, []]
                : [$stepId, JobState::OVERRIDE, [...$values, 'reason' => mb_substr($reason, 0, 500), 'missing' => array_map(fn (Obstacle $o) => $o->text, $obstacles)], []];
        });
    }

    /**
     * Replaces what an earlier line says by a correcting line.
     *
     * @param  array<mixed>  $raw
     */
    public function correct(int $seq, array $raw, string $reason): void
    {
        $this->write(function (JobState $state) use ($seq, $raw, $reason): array {
            $entry = $this->entry($state, $seq);
            $at = $this->situation($state, $entry->step, $seq);
            $form = FormOf::entry($at, $entry);
            $read = $form->read($raw, $this->person->units);
            $values = $entry->form === JobState::PHOTO ? [...$entry->values, ...$read['values']] : $this->admitted($at, $entry->form, $read['values']);

            return [$entry->step, Journal::CORRECT, ['seq' => $seq, 'values' => $values, 'reason' => mb_substr(trim($reason), 0, 300)], $read['typed'], $form->say($read['values'], $read['typed'])];
        });
    }

    public function withdraw(int $seq, string $reason): void
    {
        $this->write(function (JobState $state) use ($seq, $reason): array {
            $entry = $this->entry($state, $seq);

            return [$entry->step, Journal::WITHDRAW, ['seq' => $seq, 'reason' => mb_substr(trim($reason), 0, 300)], []];
        });
    }

    /**
     * Values the step takes, with what it keeps beside them.
     *
     * @param  array<string, mixed>  $values
     * @return array<string, mixed>
     */
    private function admitted(Situation $at, string $form, array $values): array
    {
        $kind = StepCatalogue::of($at->step);
        $kind->admit($at, $form, $values);

        return $kind->complete($at, $form, $values);
    }

    /** @return list<Obstacle> cautions of this step that nobody has acknowledged in this job */
    public static function cautions(Situation $at): array
    {
        $open = [];
        foreach (StepCatalogue::of($at->step)->hazards($at) as $hazard) {
            if (! $at->job->hasAcknowledged($hazard->value)) {
                $open[] = Obstacle::missing("Read and tick the caution: {$hazard->title()}.");
            }
        }

        return $open;
    }

    /** @param  \Closure(JobState): ?array{0: string, 1: string, 2: array<string, mixed>, 3: array<string, string>, 4?: string}  $line */
    private function write(\Closure $line): void
    {
        Context::add('job', $this->job->number());
        DB::transaction(function () use ($line): void {
            if (! preg_match('/^[A-Za-z0-9-]{8,64}$/', $this->key)) {
                throw new InvalidField('finish', 'The page was incomplete. Reload it and send again.');
            }
            if ($this->job->lines()->where('key', $this->key)->exists()) {
                return;
            }
            if ($this->job->refresh()->signed_at !== null) {
                throw new InvalidField('finish', 'This job is signed off. Its record stands as it is.');
            }
            $state = $this->job->state();
            $written = $line($state);
            if ($written === null) {
                return;
            }
            [$step, $form, $values, $typed] = $written;
            $said = $written[4] ?? '';
            $last = $this->job->lines()->reorder()->orderByDesc('seq')->first();
            $line = JournalLine::query()->create([
                'job_id' => $this->job->id, 'seq' => ($last->seq ?? 0) + 1, 'key' => $this->key, 'person_id' => $this->person->id,
                'step' => $step, 'form' => $form, 'values' => $values, 'typed' => $typed, 'said' => $said, 'at' => max($last->at ?? 0, now()->getTimestamp() - $this->age),
            ]);
            $this->followOnTheShelf($state, $step, (int) ($values['seq'] ?? $line->seq));
            Projection::refresh($this->job);
        });
    }

    /** What a line, or the line it corrects, takes from the shelf or puts there. */
    private function followOnTheShelf(JobState $before, string $step, int $seq): void
    {
        if (! StepCatalogue::of($before->steps[$step])->usesShelf()) {
            return;
        }
        $state = $this->job->state();
        $lines = [];
        foreach ($state->entries as $entry) {
            if ($entry->seq === $seq && isset($state->steps[$entry->step]) && ! in_array($entry->form, [JobState::FINISH, JobState::OVERRIDE, JobState::ACKNOWLEDGE, JobState::PHOTO], true)) {
                $step = $state->steps[$entry->step];
                $lines = StepCatalogue::of($step)->shelf($state->at($step, $entry->at, $this->person->units, Container::stores($this->job, $seq)), $entry);
            }
        }
        Container::follow($this->job, $seq, $this->person, $lines);
    }

    /** @param  ?int  $correcting  the line that is being replaced: the shelf is as it stood without it */
    private function situation(JobState $state, string $stepId, ?int $correcting = null): Situation
    {
        $step = $state->steps[$stepId] ?? throw new InvalidField('finish', 'This step is no longer part of the job. Go on with the step in hand.');
        Context::add('step', $stepId);
        $inHand = $state->stepInHand();
        if ($inHand !== null && ! isset($state->closed[$stepId]) && $state->openBefore($step) !== []) {
            throw new InvalidField('finish', 'Earlier steps are not finished. Work on the step in hand first.');
        }

        return $state->at($step, now()->getTimestamp(), $this->person->units, StepCatalogue::of($step)->usesShelf() ? Container::stores($this->job, $correcting) : new Inventory);
    }

    private function entry(JobState $state, int $seq): \Aqbel\Core\Job\Entry
    {
        foreach ($state->entries as $entry) {
            if ($entry->seq === $seq && ! in_array($entry->form, [JobState::FINISH, JobState::OVERRIDE, JobState::ACKNOWLEDGE], true)) {
                return $entry;
            }
        }
        throw new InvalidField('finish', 'This entry cannot be corrected any more. Reload the page to see what counts now.');
    }

    /** @param  list<Form>  $forms */
    private static function form(array $forms, string $name): Form
    {
        foreach ($forms as $form) {
            if ($form->name === $name) {
                return $form;
            }
        }
        throw new InvalidField('finish', 'This step has moved on since the page was loaded, perhaps on another tablet. It is shown here as it is now; enter it again if it is still needed.');
    }
}
