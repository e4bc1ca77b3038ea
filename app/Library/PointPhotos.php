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
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Photographs of a circuit's points: those that jobs took there, and those that came along with it from another shop.
 */
final class PointPhotos
{
    /** Under which they stand in a circuit's file: the newest of each point, small, with nobody's words. */
    public const PART = 'photos';

    private const MOST = 60;

    private const MOST_BYTES = 200_000;

    /** So many of a circuit are looked at, the newest first. */
    private const LOOKED_AT = 200;

    /** Steps about a point, by how their ids begin. */
    private const STEPS = ['drain', 'bleed'];

    /** @return array<string, non-empty-list<string>> where they are shown, by point, the newest first */
    public static function shown(Model $circuit): array
    {
        $shown = array_map(
            fn (array $photos): array => array_map(fn (Photo $photo): string => "/photos/{$photo->id}", $photos),
            self::taken($circuit),
        );
        foreach (self::came($circuit, ['id', 'port']) as $came) {
            $shown[$came->port][] = "/circuits/photos/{$came->id}";
        }

        return $shown;
    }

    /** @return list<array{port: string, jpeg: string}> the newest of each point, base64 */
    public static function along(Model $circuit): array
    {
        $along = array_map(
            fn (array $photos): string => base64_encode((string) file_get_contents($photos[0]->path(small: true))),
            self::taken($circuit),
        );
        foreach (self::came($circuit, ['port', 'jpeg']) as $came) {
            $along[$came->port] ??= $came->jpeg;
        }
        $ports = array_intersect_key($circuit->read()->ports, $along);

        return array_map(fn (string $port): array => ['port' => $port, 'jpeg' => $along[$port]], array_keys($ports));
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
        $ports = $photos === [] ? [] : $circuit->read()->ports;
        $has = $photos === [] ? [] : self::shown($circuit);
        foreach ($photos as $photo) {
            if (isset($ports[$photo['port']]) && ! isset($has[$photo['port']])) {
                CircuitPhoto::query()->create([
                    'circuit_key' => $circuit->key,
                    'port' => $photo['port'],
                    'jpeg' => $photo['jpeg'],
                    'digest' => hash('sha256', $photo['jpeg']),
                ]);
                $has[$photo['port']] = [''];
            }
        }
    }

    /**
     * @return array<string, non-empty-list<Photo>> that jobs took at steps about a point
     * and whose files are there, by point, the newest first
     */
    private static function taken(Model $circuit): array
    {
        $lines = DB::table('journal_lines')
            ->join('jobs', 'jobs.id', '=', 'journal_lines.job_id')
            ->join('circuits', 'circuits.id', '=', 'jobs.circuit_id')
            ->where('circuits.key', $circuit->key)
            ->where('form', Lines::Photo->value)
            ->orderByDesc('journal_lines.id')
            ->limit(self::LOOKED_AT)
            ->get(['step', 'values']);
        $ports = [];
        foreach ($lines as $line) {
            [$kind, $port] = [...explode(':', (string) $line->step, 2), ''];
            $id = ((array) json_decode((string) $line->values, true))['photo'] ?? null;
            if (is_string($id) && $port !== '' && in_array($kind, self::STEPS, true)) {
                $ports[$id] = $port;
            }
        }
        $taken = [];
        foreach (
            $ports === [] ? [] : Photo::query()->whereIn('id', array_keys($ports))->orderByDesc('id')->get() as $photo
        ) {
            if (is_file($photo->path(small: true))) {
                $taken[$ports[$photo->id]][] = $photo;
            }
        }

        return $taken;
    }

    /**
     * @param  list<string>  $columns
     * @return Collection<int, CircuitPhoto>
     */
    private static function came(Model $circuit, array $columns): Collection
    {
        return CircuitPhoto::query()->where('circuit_key', $circuit->key)->orderByDesc('id')->get($columns);
    }
}
