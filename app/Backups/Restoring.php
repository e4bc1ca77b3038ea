<?php

declare(strict_types=1);

namespace App\Backups;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/** Puts a backup in the place of this installation; what stood there is kept beside it, never deleted. */
final class Restoring
{
    /** @throws NoBackup with nothing changed */
    public static function from(string $file, bool $replace): string
    {
        $backup = Backup::verified($file);
        [$database, $photos] = [(string) config('database.connections.sqlite.database'), (string) config('aqbel.photos')];
        DB::disconnect();
        $aside = $replace ? self::setAside($database, $photos) : [];
        try {
            $backup->restore($database, $photos);
        } catch (NoBackup $failed) {
            foreach ($aside as $was => $kept) {
                @rename($kept, $was);
            }
            throw $failed;
        }
        Artisan::call('migrate', ['--force' => true]);
        $kept = $aside === [] ? '' : ' What was here before is kept: '.implode(', ', $aside).'.';

        return "Restored {$backup->manifest->shop} as of {$backup->manifest->madeAt}.{$kept}";
    }

    /** @return array<string, string> where it is now, by where it was */
    private static function setAside(string $database, string $photos): array
    {
        $aside = [];
        foreach ([$database, "{$database}-wal", "{$database}-shm", $photos] as $path) {
            if (file_exists($path)) {
                $aside[$path] = $path.'.before-'.now()->format('Ymd-His');
                rename($path, $aside[$path]);
            }
        }

        return $aside;
    }
}
