<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Job;
use App\Models\Photo;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/**
 * What a signed record is sealed with: the SHA-256 of everything it was signed for, which is its plan, the circuit as
 * it was then, every line as it was stored, and every photograph. Whoever changes one of them afterwards breaks it.
 */
final class Seal
{
    /** @return string 64 hexadecimal digits */
    public static function of(Job $job): string
    {
        $sum = hash_init('sha256');
        foreach (self::pieces($job) as $piece) {
            hash_update(
                $sum,
                json_encode(
                    self::sorted($piece),
                    JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
                )."\n",
            );
        }

        return hash_final($sum);
    }

    /** Whether all of it is as it was signed; null where it was signed before records were sealed. */
    public static function holds(Job $job): ?bool
    {
        if ($job->document !== null) {
            // It was sealed where it was signed; here it is what came.
            return hash_equals((string) $job->seal, hash('sha256', $job->document));
        }

        return $job->seal === null ? null : hash_equals($job->seal, self::of($job)) && self::photographsHold($job);
    }

    /** Whether every photograph on the disk is the one that was taken. */
    private static function photographsHold(Job $job): bool
    {
        return self::photographs($job)->every(
            fn (Photo $photo) => $photo->digest === null || $photo->digest === $photo->digested(),
        );
    }

    /** @return \Generator<array<mixed>> */
    private static function pieces(Job $job): \Generator
    {
        yield [
            'job' => $job->number(),
            'vehicle' => $job->vehicle->plate,
            'kind' => $job->kind->value,
            'planned' => [$job->planned_by, $job->created_at->getTimestamp()],
        ];
        yield ['plan' => $job->plan];
        yield [
            'circuit' => $job->circuit->key,
            'revision' => $job->circuit->revision,
            'document' => $job->circuit->document,
        ];
        $lines = DB::table('journal_lines')
            ->where('job_id', $job->id)
            ->orderBy('seq')
            ->get(['seq', 'at', 'arrived', 'person_id', 'step', 'form', 'values', 'typed']);
        foreach ($lines as $line) {
            yield [
                ...array_map(intval(...), [
                    'seq' => $line->seq,
                    'at' => $line->at,
                    'arrived' => $line->arrived,
                    'by' => $line->person_id,
                ]),
                'step' => $line->step,
                'form' => $line->form,
                'values' => json_decode($line->values, true),
                'typed' => json_decode($line->typed, true),
            ];
        }
        foreach (self::photographs($job) as $photo) {
            yield ['photograph' => $photo->id, 'digest' => $photo->digest];
        }
    }

    /** @return Collection<int, Photo> */
    private static function photographs(Job $job): Collection
    {
        return Photo::query()->where('job_id', $job->id)->where('of_visit', false)->orderBy('id')->get();
    }

    /** Whatever a database made of the order of keys. */
    private static function sorted(mixed $value): mixed
    {
        if (! is_array($value)) {
            return $value;
        }
        array_is_list($value) || ksort($value);

        return array_map(self::sorted(...), $value);
    }
}
