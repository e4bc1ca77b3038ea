<?php

declare(strict_types=1);

namespace App\Backups;

use App\Models\Shop;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PDO;
use ZipArchive;

/**
 * One file with all that a shop has: the database as SQLite itself copies it while people work (or the rows of
 * PostgreSQL in such a file), the photographs, and a manifest with checksums. It is written under another name and
 * renamed when it is whole.
 */
final readonly class Backup
{
    private const DATABASE = 'aqbel.sqlite';

    private const PHOTOS = 'photos/';

    private function __construct(public string $file, public Manifest $manifest)
    {
    }

    /**
     * Of the shop that runs here, into a folder.
     *
     * @throws NoBackup where the folder takes no file
     */
    public static function make(string $folder, string $name = 'aqbel'): self
    {
        $isFile = DB::getDriverName() === 'sqlite';
        if ($isFile && ! is_file((string) config('database.connections.sqlite.database'))) {
            throw new NoBackup('There is no shop here yet, so there is nothing to back up.');
        }
        if (! is_dir($folder) && ! @mkdir($folder, 0o700, true)) {
            throw new NoBackup("The folder {$folder} cannot be made. Choose one this user may write to.");
        }
        $file = sprintf('%s/%s-%s.zip', rtrim($folder, '/'), $name, now()->format('Ymd-His'));
        $copy = "{$file}.sqlite";
        try {
            $isFile ? DB::statement('vacuum into '.DB::getPdo()->quote($copy)) : Tables::toFile($copy);
            $manifest = self::write("{$file}.part", $copy);
        } catch (\PDOException|\ValueError $failed) {
            throw new NoBackup("The backup could not be written to {$folder}: {$failed->getMessage()}");
        } finally {
            @unlink($copy);
        }
        rename("{$file}.part", $file);

        return new self($file, $manifest);
    }

    /**
     * A backup of which every byte has been looked at.
     *
     * @throws NoBackup saying what is wrong with it
     */
    public static function verified(string $file): self
    {
        $zip = self::open($file);
        try {
            $manifest = Manifest::read((string) $zip->getFromName(Manifest::NAME));
            if (! isset($manifest->files[self::DATABASE]) || $zip->numFiles !== count($manifest->files) + 1) {
                throw new NoBackup('Files are missing in this backup, or there are some that do not belong to it.');
            }
            foreach ($manifest->files as $place => $wanted) {
                self::assertWhole($zip, $place, $wanted);
            }
        } finally {
            $zip->close();
        }
        $backup = new self($file, $manifest);
        if (! $backup->holdsWholeDatabase()) {
            throw new NoBackup('The database in this backup is damaged. Take another one.');
        }

        return $backup;
    }

    /**
     * Puts everything back: database and photographs, side by side in a folder that has neither.
     *
     * @throws NoBackup where something stands there already, or the backup is of a later version
     */
    public function restore(string $database, string $photos): void
    {
        if (is_file($database) && filesize($database) > 0) {
            throw new NoBackup('There is a shop here already. Restore elsewhere, or with --replace: what is here '
                .'is then kept beside it.');
        }
        $known = array_map(fn (string $path) => basename($path, '.php'), glob(database_path('migrations/*.php')) ?: []);
        $later = array_diff($this->manifest->migrations, $known);
        if ($later !== []) {
            throw new NoBackup('This backup was made by a later version of Aqbel. Install that one, then restore.');
        }
        $zip = self::open($this->file);
        foreach (array_keys($this->manifest->files) as $place) {
            $to = $place === self::DATABASE ? $database : $photos.'/'.substr($place, strlen(self::PHOTOS));
            @mkdir(dirname($to), 0o700, true);
            $from = $zip->getStream($place);
            if ($from === false || file_put_contents("{$to}.part", $from) !== $this->manifest->files[$place]['bytes']) {
                throw new NoBackup("{$to} could not be written. Make room and restore again.");
            }
            rename("{$to}.part", $to);
        }
        $zip->close();
    }

    /** Deletes all but the newest of a folder. */
    public static function rotate(string $folder, int $keep, string $name = 'aqbel'): void
    {
        $all = glob(rtrim($folder, '/')."/{$name}-*.zip") ?: [];
        sort($all);
        array_map(unlink(...), array_slice($all, 0, max(0, count($all) - $keep)));
    }

    private static function write(string $file, string $database): Manifest
    {
        $files = [self::DATABASE => $database, ...self::photographs($database)];
        $zip = new ZipArchive;
        if ($zip->open($file, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            throw new NoBackup("{$file} cannot be written. Choose a folder this user may write to.");
        }
        $listed = [];
        foreach ($files as $place => $path) {
            $zip->addFile($path, $place);
            $zip->setCompressionName($place, $place === self::DATABASE ? ZipArchive::CM_DEFLATE : ZipArchive::CM_STORE);
            $listed[$place] = ['bytes' => (int) filesize($path), 'sha256' => (string) hash_file('sha256', $path)];
        }
        $migrations = array_values(
            array_filter(DB::table('migrations')->orderBy('id')->pluck('migration')->all(), is_string(...)),
        );
        $manifest = new Manifest(
            now()->toIso8601String(),
            Shop::here()->name,
            $migrations,
            $listed,
            (string) config('aqbel.version'),
        );
        $zip->addFromString(Manifest::NAME, $manifest->json());
        if (! $zip->close()) {
            @unlink($file);
            throw new NoBackup("{$file} could not be written. Make room, or choose another folder.");
        }

        return $manifest;
    }

    /**
     * @return array<string, string> files of the photographs that the copied database knows, by their place in the
     * backup
     */
    private static function photographs(string $database): array
    {
        $photos = (string) config('aqbel.photos');
        $known = (new PDO("sqlite:{$database}"))->query('select job_id, id from photos') ?: [];
        $files = [];
        foreach ($known as $photo) {
            foreach (['.jpg', '.small.jpg'] as $size) {
                $place = "{$photo['job_id']}/{$photo['id']}{$size}";
                if (is_file("{$photos}/{$place}")) {
                    $files[self::PHOTOS.$place] = "{$photos}/{$place}";
                }
            }
        }

        return $files;
    }

    private static function open(string $file): ZipArchive
    {
        $zip = new ZipArchive;
        if (! is_file($file)) {
            throw new NoBackup("There is no file {$file}.");
        }
        if ($zip->open($file, ZipArchive::RDONLY | ZipArchive::CHECKCONS) !== true) {
            throw new NoBackup('This file is torn or damaged, or no backup. Take another one.');
        }

        return $zip;
    }

    /** @param  array{bytes: int, sha256: string}  $wanted */
    private static function assertWhole(ZipArchive $zip, string $place, array $wanted): void
    {
        $safe = $place === self::DATABASE || preg_match('#^photos/\d+/[0-9A-Za-z]+(\.small)?\.jpg$#', $place) === 1;
        $stream = $safe ? $zip->getStream($place) : false;
        if ($stream === false) {
            throw new NoBackup(Str::limit($place, 60).' is missing in this backup, or does not belong to it. Take '
                .'another one.');
        }
        $hash = hash_init('sha256');
        $bytes = @hash_update_stream($hash, $stream);
        if ($bytes !== $wanted['bytes'] || hash_final($hash) !== $wanted['sha256']) {
            throw new NoBackup("{$place} is damaged in this backup. Take another one.");
        }
    }

    /** Whether the database inside opens and is whole, by SQLite's own check. */
    private function holdsWholeDatabase(): bool
    {
        $copy = (string) tempnam(sys_get_temp_dir(), 'aqbel-verify');
        $zip = self::open($this->file);
        file_put_contents($copy, $zip->getStream(self::DATABASE) ?: '');
        $zip->close();
        try {
            $check = (new PDO("sqlite:{$copy}"))->query('pragma integrity_check');

            return $check !== false && $check->fetchColumn() === 'ok';
        } catch (\PDOException) {
            return false;
        } finally {
            array_map(unlink(...), glob("{$copy}*") ?: []);
        }
    }
}
