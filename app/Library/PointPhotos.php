<?php

declare(strict_types=1);

namespace App\Library;

use App\Models\Circuit as Model;
use App\Models\CircuitPhoto;
use App\Models\Photo;
use App\Photos\Photograph;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Lines;
use Illuminate\Support\Facades\DB;

/** Photographs of a circuit's points: those that jobs took there, and those that came along with it from another shop. */
final class PointPhotos
{
    /** Under which they stand in a circuit's file: the newest of each point, small, with nobody's words. */
    public const PART = 'photos';

    private const MOST = 60;

    private const MOST_BYTES = 200_000;

    /** Photographs that jobs took at steps about a point, the newest first; those that were taken back are gone. */
    private const LOOKED_AT = 4;

    /** @return list<string> where they are shown, the newest first */
    public static function shown(Model $circuit, string $port, int $most): array
    {
        $ours = array_map(fn (Photo $photo): string => "/photos/{$photo->id}", self::taken($circuit, $port));
        $came = CircuitPhoto::query()->where('circuit_key', $circuit->key)->where('port', $port)->orderByDesc('id')->limit($most)->pluck('id')
            ->map(fn (string $id): string => "/circuits/photos/{$id}")->all();

        return array_slice([...$ours, ...array_values($came)], 0, $most);
    }

    /** @return list<array{port: string, jpeg: string}> the newest of each point, base64 */
    public static function along(Model $circuit): array
    {
        $along = [];
        foreach (array_keys($circuit->read()->ports) as $port) {
            $photo = self::taken($circuit, $port)[0] ?? null;
            $jpeg = $photo === null
                ? CircuitPhoto::query()->where('circuit_key', $circuit->key)->where('port', $port)->orderByDesc('id')->value('jpeg')
                : base64_encode((string) file_get_contents($photo->path(small: true)));
            if (is_string($jpeg) && $jpeg !== '') {
                $along[] = ['port' => $port, 'jpeg' => $jpeg];
            }
        }

        return $along;
    }

    /**
     * As they stand in a file that came: looked at, and made anew from what was decoded.
     *
     * @param  array<mixed>  $document
     * @return list<array{port: string, jpeg: string}> base64
     *
     * @throws InvalidField naming the photograph
     */
    public static function read(array $document, Circuit $circuit): array
    {
        $sent = $document[self::PART] ?? [];
        if (! is_array($sent) || count($sent) > self::MOST) {
            throw new InvalidField(self::PART, 'Photographs are a list of at most '.self::MOST.'.');
        }
        $read = [];
        foreach (array_values($sent) as $i => $one) {
            $port = is_array($one) ? $one['port'] ?? null : null;
            if (! is_string($port) || ! isset($circuit->ports[$port])) {
                throw new InvalidField(self::PART.".{$i}.port", 'Name a point of this circuit.');
            }
            $jpeg = is_string($one['jpeg'] ?? null) ? base64_decode($one['jpeg'], true) : false;
            if ($jpeg === false || strlen($jpeg) > self::MOST_BYTES) {
                throw new InvalidField(self::PART.".{$i}.jpeg", 'A photograph is a JPEG of at most 200 kB, in base64.');
            }
            try {
                $read[] = ['port' => $port, 'jpeg' => base64_encode(Photograph::ofBytes($jpeg)->small())];
            } catch (InvalidField $refused) {
                throw new InvalidField(self::PART.".{$i}.jpeg", $refused->getMessage());
            }
        }

        return $read;
    }

    /**
     * Keeps what came, for points of which nothing is there yet.
     *
     * @param  list<array{port: string, jpeg: string}>  $photos  that have been read
     */
    public static function keep(Model $circuit, array $photos): void
    {
        $ports = $circuit->read()->ports;
        foreach ($photos as $photo) {
            if (isset($ports[$photo['port']]) && self::shown($circuit, $photo['port'], 1) === []) {
                CircuitPhoto::query()->create(['circuit_key' => $circuit->key, 'port' => $photo['port'], 'jpeg' => $photo['jpeg'], 'digest' => hash('sha256', $photo['jpeg'])]);
            }
        }
    }

    /** @return list<Photo> whose files are there, the newest first */
    private static function taken(Model $circuit, string $port): array
    {
        $lines = DB::table('journal_lines')->join('jobs', 'jobs.id', '=', 'journal_lines.job_id')->join('circuits', 'circuits.id', '=', 'jobs.circuit_id')
            ->where('circuits.key', $circuit->key)->where('form', Lines::Photo->value)->whereIn('step', ["drain:{$port}", "bleed:{$port}"])->orderByDesc('journal_lines.id')->limit(self::LOOKED_AT)->pluck('values');
        $ids = $lines->map(fn (mixed $values): mixed => ((array) json_decode((string) $values, true))['photo'] ?? null)->filter(fn (mixed $id): bool => is_string($id))->all();
        $photos = Photo::query()->whereIn('id', $ids)->get()->sortByDesc('id');

        return array_values($photos->filter(fn (Photo $photo): bool => is_file($photo->path(small: true)))->all());
    }
}
