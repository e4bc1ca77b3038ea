<?php

declare(strict_types=1);

namespace App\Record;

use App\Calc\Input;
use App\Calc\JobSaid;
use App\Calc\StoredJob;
use App\Models\Job;
use App\Models\Visit;
use App\Visits\VisitBook;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Life;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Support\Facades\DB;

/**
 * A whole job as one document, `aqbel-job/1`: what it was planned on, every line as it was stored, what it came to,
 * and the days after. Codes and numbers of the core's units, no words of ours. It is folded as the screens fold it.
 */
final class JobDocument
{
    public const FORMAT = 'aqbel-job/1';

    public const MOST_BYTES = 8_000_000;

    private const AS_FILE
        = JSON_PRETTY_PRINT
        | JSON_UNESCAPED_UNICODE
        | JSON_UNESCAPED_SLASHES
        | JSON_PRESERVE_ZERO_FRACTION
        | JSON_THROW_ON_ERROR;

    /** As a file: what came from elsewhere goes on as it came. */
    public static function file(Job $job, StepCatalogue $kinds): string
    {
        return $job->document ?? self::encode(self::of($job, $kinds));
    }

    /** @return array<string, mixed> */
    private static function of(Job $job, StepCatalogue $kinds): array
    {
        $job->loadMissing(['vehicle', 'circuit', 'planner']);
        $state = $job->state();
        $when = fn (mixed $at): ?int => $at instanceof \DateTimeInterface ? $at->getTimestamp() : null;

        return [
            'format' => self::FORMAT,
            'job' => [
                'number' => $job->number(),
                'kind' => $job->kind->value,
                'life' => $job->life()->value,
                'planned_by' => $job->planner->name,
                'planned_at' => $when($job->created_at),
                'signed_at' => $when($job->signed_at),
                'followed_at' => $when($job->followed_at),
                'closed_at' => $when($job->closed_at),
                'given_up_at' => $when($job->abandoned_at),
                'given_up_because' => $job->abandoned_because,
                'seal' => $job->seal,
            ],
            'vehicle' => ['plate' => $job->vehicle->plate, 'name' => $job->vehicle->name],
            'circuit' => $job->circuit->document,
            'circuit_revision' => ['key' => $job->circuit->key, 'revision' => $job->circuit->revision],
            'plan' => $job->plan,
            'journal' => self::lines($job),
            'results' => self::results($state, $kinds),
            'visits' => (new VisitBook($job))
                ->all()
                ->map(
                    fn (Visit $visit): array => [
                        'due_on' => $visit->due_on->format('Y-m-d'),
                        'asked_by' => $visit->asked_by,
                        'watch' => $visit->watch,
                        'done_at' => $when($visit->done_at),
                        'by' => $visit->doer?->name,
                        'skipped_because' => $visit->skipped_because,
                        'values' => (object) ($visit->values ?? []),
                        'typed' => (object) ($visit->typed ?? []),
                    ] + self::struck($visit),
                )
                ->all(),
        ];
    }

    /** @return array<string, mixed> of a visit that does not count any more; nothing of others */
    private static function struck(Visit $visit): array
    {
        return $visit->struck_at === null
            ? []
            : [
                'struck' => [
                    'at' => $visit->struck_at->getTimestamp(),
                    'by' => $visit->striker?->name,
                    'because' => $visit->struck_because,
                ],
            ];
    }

    /** @param  array<string, mixed>  $document */
    public static function encode(array $document): string
    {
        return json_encode($document, self::AS_FILE)."\n";
    }

    /**
     * A document as it came in a file, looked at all through.
     *
     * @return array<string, mixed>
     *
     * @throws InvalidField naming the field, and the line where it is no JSON
     */
    public static function read(string $file): array
    {
        if (strlen($file) > self::MOST_BYTES) {
            throw new InvalidField('file', 'This file is larger than 8 MB: no job is.');
        }
        try {
            // Objects stay objects, so that an empty one goes out as it came in.
            $document = json_decode($file, false, 64, JSON_THROW_ON_ERROR);
        } catch (\JsonException) {
            throw new InvalidField(
                'file',
                'This is no JSON'
                    .self::brokenAt($file)
                    .'. Choose a file that was written under a record, “Data”.',
            );
        }
        $plain = json_decode($file, true, 64);
        if (! is_object($document) || ! is_array($plain) || ($plain['format'] ?? null) !== self::FORMAT) {
            throw new InvalidField('file', 'This is no job of Aqbel: its format is not “'.self::FORMAT.'”.');
        }
        self::assertWhole($plain);

        return (array) $document;
    }

    /**
     * @param  array<mixed>  $document
     *
     * @throws InvalidField
     */
    private static function assertWhole(array $document): void
    {
        $in = new Input($document);
        $job = new Input($in->object('job'));
        $job->choice('kind', array_map(fn (JobKind $kind) => $kind->value, JobKind::cases()));
        $job->choice('life', [Life::Signed->value, Life::Followed->value, Life::Closed->value, Life::GivenUp->value]);
        $job->text('number');
        $vehicle = new Input($in->object('vehicle'));
        $vehicle->text('plate');
        $in->objects('visits', 0);
        $seq = 0;
        foreach ($in->objects('journal', 0) as $i => $line) {
            if ((int) $line->number('seq', 1, 1.0e6) <= $seq) {
                throw new InvalidField("journal.{$i}.seq", 'Lines are numbered from 1 upwards.');
            }
            $seq = (int) $line->number('seq', 1, 1.0e6);
        }
        StoredJob::state($in);
    }

    private static function brokenAt(string $file): string
    {
        // The longest beginning that is well formed ends in the line that is not.
        $lines = explode("\n", $file);
        foreach ($lines as $i => $line) {
            if (preg_match('//u', $line) !== 1) {
                return ' in line '.($i + 1);
            }
        }

        return count($lines) > 1 ? ', or it ends too early: its last line is '.count($lines) : '';
    }

    /** @return list<array<string, mixed>> */
    private static function lines(Job $job): array
    {
        $lines = [];
        foreach (
            DB::table('journal_lines')
                ->join('people', 'people.id', '=', 'journal_lines.person_id')
                ->where('job_id', $job->id)
                ->orderBy('seq')
                ->get(['seq', 'at', 'arrived', 'people.name', 'step', 'form', 'values', 'typed']) as $line
        ) {
            $lines[] = [
                'seq' => (int) $line->seq,
                'at' => (int) $line->at,
                ...$line->arrived === null ? [] : ['arrived' => (int) $line->arrived],
                'person' => $line->name,
                'step' => $line->step,
                'form' => $line->form,
                'values' => (object) json_decode($line->values, true),
                'typed' => (object) json_decode($line->typed, true),
            ];
        }

        return $lines;
    }

    /** @return array<string, mixed> */
    private static function results(JobState $state, StepCatalogue $kinds): array
    {
        $last
            = $state->journal->lines === [] ? 0 : max(array_map(fn (Entry $entry) => $entry->at, $state->journal->lines));
        $said = JobSaid::at($state, $last, $kinds);
        $codes = array_map(
            fn (array $step): array => array_intersect_key($step, array_flip(['step', 'kind', 'state', 'verdict'])),
            $said['steps'],
        );

        return ['steps' => $codes, 'ledger' => $said['ledger'], 'neck' => $said['neck'], 'next' => $said['next']];
    }
}
