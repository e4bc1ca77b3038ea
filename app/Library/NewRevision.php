<?php

declare(strict_types=1);

namespace App\Library;

use App\Audit\Change;
use App\Audit\Subject;
use App\Audit\Trail;
use App\Journal\OneWriter;
use App\Models\Circuit;
use App\Models\Person;
use App\Models\Right;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Illuminate\Support\Str;

/**
 * What is stored when a circuit is made or changed: a revision, its vehicles moved on to it, and a line for the trail.
 */
final class NewRevision
{
    /** With its ending it fits its column. */
    private const LONGEST_KEY = 47;

    /** So many letters at its end that no key is drawn twice. */
    private const DRAWN = 12;

    /**
     * @param  ?Circuit  $newest  the one it follows; null for a circuit of its own
     * @param  array<mixed>  $document  that has been read
     */
    public static function of(?Circuit $newest, array $document, Person $by): Circuit
    {
        return OneWriter::run(fn (): Circuit => self::write($newest, $document, $by));
    }

    /**
     * Inside somebody's transaction. `$more` stands in the trail beside what changed.
     *
     * @param  array<mixed>  $document
     */
    public static function write(?Circuit $newest, array $document, Person $by, Change ...$more): Circuit
    {
        $circuit = CircuitReader::read($document);
        $name = $circuit->name;
        $photos = PointPhotos::read($document, $circuit);
        unset($document[PointPhotos::PART]);
        $stored = Circuit::query()->create([
            'key' => $newest->key
                ?? (mb_substr(Str::slug($name), 0, self::LONGEST_KEY) ?: 'circuit')
                    .'-'.Str::lower(Str::random(self::DRAWN)),
            'revision' => 1 + (int) ($newest->revision ?? 0),
            'name' => $name,
            'document' => $document,
            'added_by' => $by->may(Right::ChangeCircuits) ? null : $by->id,
            'asks_for' => $newest === null ? null : self::stillAsked($newest, $document),
        ]);
        PointPhotos::keep($stored, $photos);
        $newest?->vehiclesOfAllRevisions()->update(['circuit_id' => $stored->id]);
        Trail::note($by, Subject::Circuit, $stored->name, [
            new Change('revision', (string) ($newest->revision ?? ''), (string) $stored->revision),
            ...($newest === null ? [] : Changes::between($newest->document, $document)),
            ...array_values($more),
        ]);

        return $stored;
    }

    /**
     * What somebody is asked to measure, until it is another figure, or gone.
     *
     * @param  array<mixed>  $document
     */
    private static function stillAsked(Circuit $newest, array $document): ?string
    {
        $figure = function (array $document) use ($newest): mixed {
            foreach ([...(array) ($document['nodes'] ?? []), ...(array) ($document['passages'] ?? [])] as $item) {
                if (is_array($item) && ($item['id'] ?? null) === $newest->asks_for) {
                    return $item['z_mm'] ?? $item['volume_ml'] ?? null;
                }
            }

            return null;
        };

        return $newest->asks_for !== null
            && $figure($document) !== null
            && $figure($document) == $figure($newest->document)
            ? $newest->asks_for
            : null;
    }
}
