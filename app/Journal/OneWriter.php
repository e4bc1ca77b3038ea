<?php

declare(strict_types=1);

namespace App\Journal;

use Illuminate\Support\Facades\DB;
use PDOException;

/**
 * The one place where something is written. A transaction that reads first and writes then fails at once beside another
 * writer, however long it would wait; so the lock is taken by the very first statement, and a lock that does not come in
 * time is asked for again.
 */
final class OneWriter
{
    private const TRIES = 6;

    private const PAUSE_US = 40_000;

    /** SQLite’s codes for a database, and a table in it, that somebody else holds. */
    private const HELD = [5, 6];

    /**
     * @template T
     *
     * @param  \Closure(): T  $write
     * @return T
     */
    public static function run(\Closure $write): mixed
    {
        for ($try = 1; ; $try++) {
            try {
                return DB::transaction(function () use ($write): mixed {
                    DB::table('write_lock')->update(['taken' => DB::raw('taken + 1')]);

                    return $write();
                });
            } catch (PDOException $failed) {
                if ($try === self::TRIES || ! self::isHeld($failed) || DB::transactionLevel() > 0) {
                    throw $failed;
                }
                usleep(random_int(1, self::PAUSE_US) * $try);
            }
        }
    }

    private static function isHeld(PDOException $failed): bool
    {
        $code = $failed->errorInfo[1] ?? null;

        return in_array($code, self::HELD, true);
    }
}
