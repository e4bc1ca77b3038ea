<?php

declare(strict_types=1);

namespace App\Journal;

use Illuminate\Support\Facades\DB;
use PDOException;

/**
 * The one place where something is written. A transaction that reads first and writes then works on what another one
 * is just changing, or fails beside it; so the shop's one lock is taken by the very first statement, and a lock that
 * does not come in time is asked for again. With SQLite the lock is the file's, with PostgreSQL a row that all
 * machines see.
 */
final class OneWriter
{
    private const TRIES = 6;

    private const PAUSE_US = 40_000;

    /** How long another writer may take before it is asked again. */
    private const PATIENCE = '5s';

    /** SQLite’s codes for a database, and a table in it, that somebody else holds. */
    private const HELD = [5, 6];

    /** PostgreSQL’s states for a lock that did not come, a deadlock, and what cannot be put in one order. */
    private const IN_THE_WAY = ['55P03', '40P01', '40001'];

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
                    self::lock();

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

    private static function lock(): void
    {
        if (DB::getDriverName() === 'pgsql') {
            DB::select("select set_config('lock_timeout', ?, true)", [self::PATIENCE]);
            DB::table('write_lock')->lockForUpdate()->get();
        } else {
            DB::table('write_lock')->update(['taken' => DB::raw('taken + 1')]);
        }
    }

    private static function isHeld(PDOException $failed): bool
    {
        [$state, $code] = [$failed->errorInfo[0] ?? null, $failed->errorInfo[1] ?? null];

        return DB::getDriverName() === 'pgsql'
            ? in_array($state, self::IN_THE_WAY, true)
            : in_array($code, self::HELD, true);
    }
}
