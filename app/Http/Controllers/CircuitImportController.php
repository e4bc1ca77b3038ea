<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Journal\OneWriter;
use App\Library\CircuitFile;
use App\Library\Compared;
use App\Library\NewRevision;
use App\Library\PointPhotos;
use App\Models\Circuit;
use App\Models\Person;
use App\Models\Right;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Learned\MeasuredJobs;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/**
 * Circuits that come from elsewhere: what is new is brought in, what differs from
 * ours is shown part by part, and somebody says which to keep.
 */
final class CircuitImportController extends Controller
{
    /** @param  list<array<mixed>>  $documents  that have been read */
    public function bringIn(Person $person, array $documents): RedirectResponse|Response
    {
        [$new, $same] = [[], 0];
        while ($documents !== []) {
            $document = array_shift($documents);
            $ours = self::ours($document);
            if ($ours === null) {
                $new[] = NewRevision::of(null, $document, $person);
            } elseif (self::isSame($ours, $document)) {
                self::keepPhotos($ours, $document);
                $same++;
            } else {
                return $this->compare($ours, $document, $documents);
            }
        }

        return match (true) {
            count($new) === 1 && $same === 0 => redirect("/circuits/{$new[0]->id}")->with(
                'notice',
                "Stored as revision {$new[0]->revision}.",
            ),
            default => redirect('/circuits')->with('notice', self::told(count($new), $same)),
        };
    }

    /** Ours with the parts that were chosen, or theirs as a circuit of its own; then the next of a package. */
    public function merge(Request $request, Circuit $circuit): RedirectResponse|Response
    {
        self::only($request, Right::ChangeCircuits);
        $person = self::person($request);
        $read = fn (string $name): array => (array) json_decode(self::text($request, $name), true);
        $document = CircuitFile::read($read('document'))[0];
        $rest = array_map(
            fn (mixed $one): array => CircuitFile::read(is_array($one) ? $one : [])[0],
            array_values($read('rest')),
        );
        $take = array_values(array_filter((array) $request->input('take'), is_string(...)));
        if ($request->boolean('own')) {
            NewRevision::of(null, $document, $person);
        } elseif ($take === []) {
            self::keepPhotos($circuit, $document);
        } else {
            try {
                OneWriter::run(function () use ($circuit, $document, $take, $person): void {
                    $newest = $circuit->newestRevision();
                    $compared = new Compared($newest->document, $document);
                    $compared->assertStillAs($circuit->document, 'take', $take);
                    $made = $compared->taking($take);
                    $made == $newest->document || NewRevision::write($newest, $made, $person);
                    self::keepPhotos($circuit->newestRevision(), $document);
                });
            } catch (InvalidField $refused) {
                return $this->compare($circuit->newestRevision(), $document, $rest, $refused->getMessage(), $take);
            }
        }

        return $rest !== []
            ? $this->bringIn($person, $rest)
            : redirect(
                $request->boolean('own') || $take === [] ? '/circuits' : '/circuits/'.$circuit->newestRevision()->id,
            )->with(
                'notice',
                $request->boolean('own')
                    ? 'Brought in as a circuit of its own.'
                    : ($take === []
                        ? 'Ours stays as it is.'
                        : 'Taken over: '.count($take).' parts.'),
            );
    }

    /**
     * @param  array<mixed>  $document
     * @param  list<array<mixed>>  $rest
     * @param  list<string>  $ticked
     */
    private function compare(
        Circuit $ours,
        array $document,
        array $rest,
        ?string $refused = null,
        array $ticked = [],
    ): Response {
        return response()->view(
            'circuits.compare',
            [
                'ours' => $ours,
                'compared' => new Compared($ours->document, $document),
                'theirs' => CircuitReader::read($document),
                'document' => json_encode($document, JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION),
                'rest' => json_encode($rest, JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION),
                'more' => count($rest),
                'refused' => $refused,
                'ticked' => $ticked,
            ],
            $refused === null ? 200 : 422,
        );
    }

    /** @param  array<mixed>  $document */
    private static function ours(array $document): ?Circuit
    {
        $name = mb_strtolower(is_string($document['name'] ?? null) ? trim($document['name']) : '');

        return Circuit::query()
            ->newest()
            ->get()
            ->first(fn (Circuit $circuit) => mb_strtolower(trim($circuit->name)) === $name);
    }

    /** @param  array<mixed>  $document */
    private static function isSame(Circuit $ours, array $document): bool
    {
        return (new Compared($ours->document, $document))->differences() === []
            && ! isset($document[MeasuredJobs::PART]);
    }

    /** @param  array<mixed>  $document  that has been read */
    private static function keepPhotos(Circuit $ours, array $document): void
    {
        PointPhotos::keep($ours, PointPhotos::read($document, CircuitReader::read($document)));
    }

    private static function told(int $new, int $same): string
    {
        $parts = array_filter([
            $new === 0 ? '' : "{$new} brought in",
            $same === 0 ? '' : "{$same} here already, the same in every part",
        ]);

        return $parts === [] ? 'Nothing was brought in.' : ucfirst(implode('; ', $parts)).'.';
    }
}
