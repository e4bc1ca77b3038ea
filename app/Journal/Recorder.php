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
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Journal;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Saying\Filled;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Stores\Inventory;
use Aqbel\Core\Values;
use Illuminate\Support\Facades\Context;
use Illuminate\Support\Facades\DB;

/**
 * Writes a job's journal. Every write is one transaction: a repeated key counts once, the entry is judged against the
 * state as it is at that moment (not as the sender's screen showed it), the line is stored, the summary follows.
 */
final readonly class Recorder
{
    private const LEAST_REASON = 10;

    private const MOST_REASON = 500;

    private const MOST_WHY = 300;

    private StepCatalogue $kinds;

    /** @param  int  $age  seconds since the entry was made, when it had to wait for a connection */
    public function __construct(private Job $job, private Person $person, private string $key, private int $age = 0)
    {
        $this->kinds = app(StepCatalogue::class);
    }

    /**
     * @param  array<mixed>  $raw
     *
     * @throws InvalidField|InvalidFields
     */
    public function record(string $stepId, string $formName, array $raw): void
    {
        $this->write(function (JobState $state) use ($stepId, $formName, $raw): NewLine {
            $at = $this->situation($state, $stepId);
            $filled = self::offered($this->kinds->of($at->step)->forms($at), $formName)
                ->read($raw, $this->person->units);

            return new NewLine($stepId, $formName, $this->admitted($at, $formName, $filled), $filled->typed);
        });
    }

    public function photograph(string $stepId, Photograph $photograph, string $caption): void
    {
        $stored = null;
        try {
            $this->write(function (JobState $state) use ($stepId, $photograph, $caption, &$stored): NewLine {
                $this->situation($state, $stepId);
                $filled = FormOf::photograph()->read(['caption' => $caption], $this->person->units);
                $stored = $photograph->keep($this->job->id);

                return new NewLine($stepId, JobState::PHOTO, $filled->values->with('photo', $stored->id));
            });
        } catch (\Throwable $failed) {
            if ($stored instanceof Photo) {
                array_map(fn (bool $small) => @unlink($stored->path($small)), [false, true]);
            }
            throw $failed;
        }
    }

    public function acknowledge(string $stepId, string $hazard): void
    {
        $this->write(function (JobState $state) use ($stepId, $hazard): ?NewLine {
            $at = $this->situation($state, $stepId);
            foreach ($this->kinds->of($at->step)->hazards($at) as $known) {
                if ($known->value === $hazard) {
                    return $state->hasAcknowledged($hazard)
                        ? null
                        : new NewLine($stepId, JobState::ACKNOWLEDGE, new Values(['hazard' => $hazard]));
                }
            }
            throw new InvalidField('hazard', 'This caution does not belong to this step.');
        });
    }

    /** Finishes a step; with a reason it is passed over, unless the obstacle is one that is never waved through. */
    public function finish(string $stepId, ?string $reason): void
    {
        $this->write(function (JobState $state) use ($stepId, $reason): NewLine {
            $at = $this->situation($state, $stepId);
            $closed = $state->closed[$stepId] ?? null;
            if ($closed !== null) {
                throw new InvalidField(
                    'finish',
                    "{$closed->person} finished this step at ".date('H:i', $closed->at).'. Go on with the step in hand.',
                );
            }
            $kind = $this->kinds->of($at->step);
            $obstacles = [...Cautions::open($at, $kind), ...$kind->obstacles($at)];
            $reason = trim((string) $reason);
            self::assertMayFinish($obstacles, $reason);
            $values = new Values(
                [JobState::CAME_TO => $kind->judge($at)?->code, JobState::NEEDLESS => $kind->needless($at)],
            );
            $orders = $kind->orders($at);
            if ($obstacles === []) {
                return new NewLine($stepId, JobState::FINISH, $values, orders: $orders);
            }
            $missing = array_map(fn (Obstacle $o) => $o->code, $obstacles);
            $values = $values->with('reason', mb_substr($reason, 0, self::MOST_REASON))->with('missing', $missing);

            return new NewLine($stepId, JobState::OVERRIDE, $values, orders: $orders);
        });
    }

    /**
     * Replaces what an earlier line says by a correcting line.
     *
     * @param  array<mixed>  $raw
     */
    public function correct(int $seq, array $raw, string $reason): void
    {
        $this->write(function (JobState $state) use ($seq, $raw, $reason): NewLine {
            $entry = $this->entry($state, $seq);
            $at = $this->situation($state, $entry->step, $seq);
            $filled = FormOf::entry($at, $entry)->read($raw, $this->person->units);
            $values = $entry->form === JobState::PHOTO
                ? $entry->values->and($filled->values)
                : $this->admitted($at, $entry->form, $filled);

            return new NewLine(
                $entry->step,
                Journal::CORRECT,
                self::about($seq, $reason),
                $filled->typed,
                replacement: $values,
            );
        });
    }

    public function withdraw(int $seq, string $reason): void
    {
        $this->write(
            fn (JobState $state) => new NewLine(
                $this->entry($state, $seq)->step,
                Journal::WITHDRAW,
                self::about($seq, $reason),
            ),
        );
    }

    /**
     * @param  list<Obstacle>  $obstacles
     *
     * @throws InvalidField where the step cannot be finished, or not without a reason
     */
    private static function assertMayFinish(array $obstacles, string $reason): void
    {
        foreach ($obstacles as $obstacle) {
            if ($obstacle->hard) {
                throw new InvalidField('finish', $obstacle->text);
            }
        }
        if ($obstacles !== [] && $reason === '') {
            throw new InvalidField('finish', $obstacles[0]->text);
        }
        if ($reason !== '' && mb_strlen($reason) < self::LEAST_REASON) {
            throw new InvalidField('reason', 'Write the reason out, ten letters or more; it stays in the record.');
        }
    }

    private static function about(int $seq, string $reason): Values
    {
        return new Values(['seq' => $seq, 'reason' => mb_substr(trim($reason), 0, self::MOST_WHY)]);
    }

    /** Values the step takes, with what it keeps beside them. */
    private function admitted(Situation $at, string $form, Filled $filled): Values
    {
        $kind = $this->kinds->of($at->step);
        $kind->admit($at, $form, $filled->values);

        return $kind->complete($at, $form, $filled->values);
    }

    /** @param  \Closure(JobState): ?NewLine  $line */
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
            $last = $this->job->lines()->reorder()->orderByDesc('seq')->first();
            $stored = JournalLine::query()->create([
                'job_id' => $this->job->id, 'seq' => ($last->seq ?? 0) + 1, 'key' => $this->key, 'person_id' => $this->person->id,
                'step' => $written->step, 'form' => $written->form, 'values' => $written->stored(), 'typed' => $written->typed,
                'at' => max($last->at ?? 0, now()->getTimestamp() - $this->age),
            ]);
            $this->followOnTheShelf($state, $written, $stored->seq);
            app(Projection::class)->refresh($this->job);
        });
    }

    /** What a line, or the line it corrects, takes from the shelf or puts there. */
    private function followOnTheShelf(JobState $before, NewLine $written, int $seq): void
    {
        if (! $this->kinds->does($before->steps[$written->step], Does::TouchesShelf)) {
            return;
        }
        $seq = $written->values->has('seq') ? $written->values->whole('seq') : $seq;
        $state = $this->job->state();
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
        $step = $state->steps[$stepId] ?? throw new InvalidField(
            'finish',
            'This step is no longer part of the job. Go on with the step in hand.',
        );
        Context::add('step', $stepId);
        if (! isset($state->closed[$stepId]) && $state->openBefore($step) !== []) {
            throw new InvalidField('finish', 'Earlier steps are not finished. Work on the step in hand first.');
        }

        return $state->at($step, now()->getTimestamp(), $this->person->units, $this->stores($step, $correcting));
    }

    private function stores(Step $step, ?int $correcting): Inventory
    {
        return $this->kinds->does($step, Does::TouchesShelf)
            ? Container::stores($this->job, $correcting)
            : new Inventory;
    }

    private function entry(JobState $state, int $seq): Entry
    {
        foreach ($state->entries as $entry) {
            if ($entry->seq === $seq && ($entry->form === JobState::PHOTO || ! JobState::belongsToEveryStep($entry))) {
                return $entry;
            }
        }
        throw new InvalidField(
            'finish',
            'This entry cannot be corrected any more. Reload the page to see what counts now.',
        );
    }

    /** @param  list<Form>  $forms */
    private static function offered(array $forms, string $name): Form
    {
        foreach ($forms as $form) {
            if ($form->name === $name) {
                return $form;
            }
        }
        throw new InvalidField('finish', 'This step has moved on since the page was loaded, perhaps on another tablet.'
            .' It is shown here as it is now; enter it again if it is still needed.');
    }
}
