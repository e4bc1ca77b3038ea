<?php

declare(strict_types=1);

namespace App\Library;

use App\Elevation\Picture;
use App\Models\Circuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Learned\MeasuredJobs;

/** Circuits as they leave the shop and come in: one, or a package of several. */
final class CircuitFile
{
    public const PACKAGE = 'aqbel-circuits/1';

    /** What goes along to be looked at, and is made anew where it is stored. */
    private const ALONG = ['drawing', 'history'];

    private const MOST = 200;

    /**
     * A package takes so many bytes of photographs, of the first circuits by name: it is read whole where it comes in.
     */
    private const PHOTOS_BYTES = 6_000_000;

    /**
     * @return array<mixed> the document, what jobs taught, its drawing, how it became
     * what it is, and its points as they look: without people
     */
    public static function of(Circuit $circuit): array
    {
        $taught = MeasuredJobs::write(Taught::of($circuit)->jobs);

        return [
            ...$circuit->document,
            ...$taught === [] ? [] : [MeasuredJobs::PART => ['jobs' => $taught]],
            'drawing' => view('circuits.svg', ['picture' => new Picture($circuit->read())])->render(),
            'history' => self::history($circuit),
            ...self::photographed($circuit),
        ];
    }

    /** @return array<mixed> the newest revision of each circuit here */
    public static function package(): array
    {
        $room = self::PHOTOS_BYTES;
        $circuits = Circuit::query()
            ->newest()
            ->orderBy('name')
            ->get()
            ->map(function (Circuit $circuit) use (&$room): array {
                $file = self::of($circuit);
                $room -= strlen((string) json_encode($file[PointPhotos::PART] ?? []));

                return $room >= 0 ? $file : array_diff_key($file, [PointPhotos::PART => 0]);
            });

        return ['format' => self::PACKAGE, 'circuits' => $circuits->all()];
    }

    /**
     * @param  array<mixed>  $data
     * @return non-empty-list<array<mixed>> documents that can be read, with nothing but what is stored
     *
     * @throws InvalidField naming the circuit and the place
     */
    public static function read(array $data): array
    {
        if (($data['format'] ?? null) !== self::PACKAGE) {
            return [self::checked($data)];
        }
        $circuits = is_array($data['circuits'] ?? null) ? array_values($data['circuits']) : [];
        if ($circuits === [] || count($circuits) > self::MOST) {
            throw new InvalidField('circuits', 'A package holds one to '.self::MOST.' circuits.');
        }
        $read = [];
        foreach ($circuits as $i => $one) {
            try {
                $read[] = self::checked(is_array($one) ? $one : []);
            } catch (InvalidField $refused) {
                throw $refused->within("circuits.{$i}");
            }
        }

        return $read;
    }

    /**
     * @param  array<mixed>  $document
     * @return array<mixed>
     */
    private static function checked(array $document): array
    {
        $circuit = CircuitReader::read($document);
        $photos = PointPhotos::read($document, $circuit);
        $document = [
            ...array_diff_key($document, array_flip([...self::ALONG, PointPhotos::PART])),
            ...$photos === [] ? [] : [PointPhotos::PART => $photos],
        ];
        if (! isset($document[MeasuredJobs::PART])) {
            return $document;
        }
        try {
            $jobs = MeasuredJobs::read(MeasuredJobs::part($document), $circuit);
        } catch (InvalidField $refused) {
            throw $refused->within(MeasuredJobs::PART);
        }
        unset($document[MeasuredJobs::PART]);

        return $jobs === [] ? $document : [...$document, MeasuredJobs::PART => ['jobs' => MeasuredJobs::write($jobs)]];
    }

    /** @return array<string, list<array{port: string, jpeg: string}>> */
    private static function photographed(Circuit $circuit): array
    {
        $photos = PointPhotos::along($circuit);

        return $photos === [] ? [] : [PointPhotos::PART => $photos];
    }

    /** @return list<array{revision: int, changes: list<array{string, string, string}>}> the newest first */
    private static function history(Circuit $circuit): array
    {
        $revisions = Circuit::query()
            ->where('key', $circuit->key)
            ->where('revision', '<=', $circuit->revision)
            ->orderByDesc('revision')
            ->limit(self::MOST)
            ->get();
        $history = [];
        foreach ($revisions as $i => $one) {
            $before = $revisions[$i + 1] ?? null;
            $changes = $before === null ? [] : Changes::between($before->document, $one->document);
            $history[] = [
                'revision' => $one->revision,
                'changes' => array_map(fn ($change) => [$change->where, $change->was, $change->is], $changes),
            ];
        }

        return $history;
    }
}
