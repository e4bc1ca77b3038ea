<?php

declare(strict_types=1);

namespace App\Journal;

use App\Models\Job;
use App\Models\Person;
use App\Models\Photo;
use App\Photos\Photograph;
use Aqbel\Core\Instruments\RunLine;
use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\NewLine;
use Aqbel\Core\Writing\Corrections;
use Aqbel\Core\Writing\Late;
use Aqbel\Core\Writing\Replanning;

/**
 * What may be written in a job's journal, each press in one transaction: all of it or nothing.
 */
final readonly class Recorder
{
    private Pen $pen;

    /**
     * @param  int  $age  seconds since the entry was made, when it had to wait for a connection, or since it happened
     * @param  bool  $asSaid  whether somebody said when it happened: then it is judged, and not moved
     */
    public function __construct(Job $job, Person $person, string $key, int $age = 0, bool $asSaid = false)
    {
        $this->pen = new Pen($job, $person, $key, $age, $asSaid);
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
            $this->pen->readAbove($read);
            $entry = fn (string $form, array $raw): \Closure => fn (JobState $state): NewLine => $this->pen->clerk->entry(
                $this->pen->situation($state, $stepId),
                $form,
                $raw,
                $this->pen->waited(),
            );
            $this->pen->write($entry($form, $raw));
            if ($also !== '') {
                $this->pen->next("also {$also}")->write($entry($also, []));
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
        $pen = new Pen(
            $this->pen->job,
            $this->pen->person,
            hash('sha256', "{$this->pen->key} {$line->form} {$line->at} {$stepId}"),
            max(0, now()->getTimestamp() - $line->at),
        );
        $pen->write(fn (JobState $state) => $pen->clerk->streamed(
            $pen->situation($state, $stepId),
            $line->form,
            $line->values,
        ));
    }

    /**
     * What was forgotten, as of the time this recorder writes at; a danger that could not be then is taken as of now.
     *
     * @param  array<mixed>  $raw
     * @param  ?InvalidField  $noTime  why what was typed is no time
     * @return bool whether it stands at the time that was told
     *
     * @throws InvalidField|InvalidFields
     */
    public function late(string $stepId, string $form, array $raw, ?InvalidField $noTime = null): bool
    {
        try {
            $noTime === null || throw $noTime;
            $this->pen->write(
                fn (JobState $state) => (new Late($this->pen->kinds))->line(
                    $this->pen->situation($state, $stepId),
                    $form,
                    $raw,
                ),
            );

            return true;
        } catch (InvalidField $refused) {
            $refused->field === 'when' || throw $refused;
            $now = $this->pen->now();
            $now->write(fn (JobState $state) => (new Late($now->kinds))->asOfNow(
                $now->situation($state, $stepId),
                $form,
                $raw,
            ) ?? throw $refused);

            return false;
        }
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
        $this->pen->write(function (JobState $state) use ($raw): NewLine {
            $step = $state->stepInHand() ?? throw new InvalidField('school', 'All of it is done.');

            return app(Replanning::class)->line($this->pen->situation($state, $step->id), $raw);
        });
    }

    public function photograph(string $stepId, Photograph $photograph, string $caption): void
    {
        // Decoded and written before the lock is taken; the files go again when no line comes to point at them.
        $photo = $photograph->keep($this->pen->job->id);
        $kept = false;
        try {
            $this->pen->write(function (JobState $state) use ($stepId, $photo, $caption, &$kept): NewLine {
                $line = $this->pen->clerk->photograph($this->pen->situation($state, $stepId), $caption, $photo->id);
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
        OneWriter::run(fn () => $this->pen->readAbove($read));
    }

    /**
     * Several steps in one press, as a sheet asks them.
     *
     * @param  array<mixed>  $raw  as typed, by step
     * @param  string  $upTo  the last step it is taken for; empty for all of them
     * @param  array<string, string>  $read  cautions that stood above it, with the step each belongs to
     *
     * @throws InvalidField|InvalidFields with fields as `sheet.step.field`, or `sheet.step.stops`
     */
    public function sheet(array $raw, string $upTo = '', array $read = []): void
    {
        (new SheetPress($this->pen))->take($raw, $upTo, $read);
    }

    /**
     * Finishes a step; with a reason it is passed over, unless the obstacle is one that is never waved through.
     *
     * @param  ?string  $unsigned  why the record cannot be signed by whoever this is
     */
    public function finish(string $stepId, string $reason, ?string $unsigned = null): void
    {
        (new Finishing($this->pen))->step($stepId, $reason, $unsigned);
    }

    /**
     * In the same press as an entry: where that was all, and what it says may be left as it is.
     *
     * @return bool whether the step is finished now
     */
    public function finishWhereNothingIsMissing(string $stepId): bool
    {
        return (new Finishing($this->pen))->whereNothingIsMissing($stepId);
    }

    /**
     * Replaces what an earlier line says by a correcting line.
     *
     * @param  array<mixed>  $raw
     */
    public function correct(int $seq, array $raw, string $reason): void
    {
        $this->pen->write(function (JobState $state) use ($seq, $raw, $reason): NewLine {
            $corrections = new Corrections($this->pen->kinds);
            $entry = $corrections->correctable($state, $seq);

            return $corrections->correct(
                $this->pen->situation($state, $corrections->stepOf($state, $entry)->id, $seq),
                $entry,
                $raw,
                $reason,
                (string) $this->pen->person->id,
            );
        });
    }

    public function withdraw(int $seq, string $reason): void
    {
        $this->pen->write(
            function (JobState $state) use ($seq, $reason): NewLine {
                $corrections = new Corrections($this->pen->kinds);
                $entry = $corrections->correctable($state, $seq);
                $at = $this->pen->situation($state, $corrections->stepOf($state, $entry)->id, $seq);

                return $corrections->withdraw($at, $entry, $reason, (string) $this->pen->person->id);
            },
        );
    }
}
