<?php

declare(strict_types=1);

namespace App\Backups;

use App\Models\Person;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

/** Puts a backup in the place of this installation; what stood there is kept beside it, never deleted. */
final class Restoring
{
    /** @throws NoBackup with nothing changed */
    public static function from(string $file, bool $replace): string
    {
        $backup = Backup::verified($file);
        $kept = DB::getDriverName() === 'sqlite' ? self::asFile($backup, $replace) : self::asRows($backup, $replace);
        $said = $kept === [] ? '' : ' What was here before is kept: '.implode(', ', $kept).'.';

        return "Restored {$backup->manifest->shop} as of {$backup->manifest->madeAt}.{$said}";
    }

    /** @return array<string, string> where it is now, by where it was */
    private static function asFile(Backup $backup, bool $replace): array
    {
        [$database, $photos] = [
            (string) config('database.connections.sqlite.database'),
            (string) config('aqbel.photos'),
        ];
        DB::disconnect();
        $aside = $replace ? self::setAside([$database, "{$database}-wal", "{$database}-shm", $photos]) : [];
        try {
            $backup->restore($database, $photos);
        } catch (NoBackup $failed) {
            self::putBack($aside);
            throw $failed;
        }
        Artisan::call('migrate', ['--force' => true]);

        return $aside;
    }

    /** @return array<string, string> where it is now, by where it was */
    private static function asRows(Backup $backup, bool $replace): array
    {
        Artisan::call('migrate', ['--force' => true]);
        $occupied = Person::query()->exists();
        if ($occupied && ! $replace) {
            throw new NoBackup('There is a shop here already. Restore with --replace: what is here is then kept in a '
                .'backup of its own.');
        }
        [$folder, $photos] = [(string) config('aqbel.folder'), (string) config('aqbel.photos')];
        $kept = $occupied ? ['database' => Backup::make("{$folder}/backups", 'before-restore')->file] : [];
        $rows = "{$folder}/restored.sqlite";
        @unlink($rows);
        $aside = self::setAside([$photos]);
        try {
            $backup->restore($rows, $photos);
            Tables::fromFile($rows);
        } catch (NoBackup|\PDOException $failed) {
            self::putBack($aside);
            throw $failed instanceof NoBackup
                ? $failed
                : new NoBackup("The rows of this backup were refused: {$failed->getMessage()}");
        } finally {
            @unlink($rows);
        }

        return [...$kept, ...$aside];
    }

    /**
     * @param  list<string>  $paths
     * @return array<string, string> where it is now, by where it was
     */
    private static function setAside(array $paths): array
    {
        $aside = [];
        foreach ($paths as $path) {
            if (file_exists($path)) {
                $aside[$path] = $path.'.before-'.now()->format('Ymd-His');
                rename($path, $aside[$path]);
            }
        }

        return $aside;
    }

    /** @param  array<string, string>  $aside */
    private static function putBack(array $aside): void
    {
        foreach ($aside as $was => $kept) {
            if (is_dir($was)) {
                File::deleteDirectory($was);
            }
            @rename($kept, $was);
        }
    }
}
