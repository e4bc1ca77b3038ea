<?php

declare(strict_types=1);

namespace App\Shop;

use PDOException;
use Throwable;

/** Whether something failed because the disk below it is full. */
final class FullDisk
{
    /** PostgreSQL’s state. */
    private const FULL = '53100';

    /** SQLite’s shared memory and a page or two: with less it cannot even be read. */
    private const LEAST_BYTES = 200_000;

    /** As PHP says it of any other file: of a session, a cache, a log. */
    private const NOT_WRITTEN
        = '/No space left on device|Read-only file system|Disk quota exceeded|attempt to write a readonly database/';

    /** Whether something failed because the disk is full, or cannot be written: the database, a session, anything. */
    public static function stopped(Throwable $failed): bool
    {
        for ($cause = $failed; $cause !== null; $cause = $cause->getPrevious()) {
            if (
                ($cause instanceof PDOException && self::isBehind($cause))
                || preg_match(self::NOT_WRITTEN, $cause->getMessage()) === 1
            ) {
                return true;
            }
        }

        return false;
    }

    private static function isBehind(PDOException $failed): bool
    {
        if (
            ($failed->errorInfo[0] ?? null) === self::FULL
            || str_contains($failed->getMessage(), 'database or disk is full')
        ) {
            return true;
        }
        $free = @disk_free_space((string) config('aqbel.folder'));

        // Full to the last byte, it is an I/O error.
        return str_contains($failed->getMessage(), 'disk I/O error') && $free !== false && $free < self::LEAST_BYTES;
    }
}
