<?php

declare(strict_types=1);

namespace App\Shop;

use PDOException;

/** Whether the database failed because the disk below it is full. */
final class FullDisk
{
    /** PostgreSQL’s state. */
    private const FULL = '53100';

    /** SQLite’s shared memory and a page or two: with less it cannot even be read. */
    private const LEAST_BYTES = 200_000;

    public static function isBehind(PDOException $failed): bool
    {
        if (($failed->errorInfo[0] ?? null) === self::FULL || str_contains($failed->getMessage(), 'database or disk is full')) {
            return true;
        }
        $free = @disk_free_space((string) config('aqbel.folder'));

        // Full to the last byte, it is an I/O error.
        return str_contains($failed->getMessage(), 'disk I/O error') && $free !== false && $free < self::LEAST_BYTES;
    }
}
