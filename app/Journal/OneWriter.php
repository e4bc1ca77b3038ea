<?php

declare(strict_types=1);

namespace App\Journal;

use Illuminate\Support\Facades\DB;
use PDO;
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
        return self::patiently(fn () => DB::transaction(function () use ($write): mixed {
            self::lock(DB::getPdo());

            return $write();
        }), fn () => DB::transactionLevel() > 0, DB::getDriverName());
    }

    /**
     * The same where the application is not started; part of a transaction that is open there already.
     *
     * @template T
     *
     * @param  \Closure(): T  $write
     * @return T
     */
    public static function on(PDO $shop, \Closure $write): mixed
    {
        $isWithin = $shop->inTransaction();

        return self::patiently(function () use ($shop, $write, $isWithin): mixed {
            $isWithin || $shop->beginTransaction();
            try {
                self::lock($shop);
                $written = $write();
                $isWithin || $shop->commit();

                return $written;
            } catch (\Throwable $failed) {
                ! $isWithin && $shop->inTransaction() && $shop->rollBack();
                throw $failed;
            }
        }, fn () => $isWithin, self::driver($shop));
    }

    /**
     * @template T
     *
     * @param  \Closure(): T  $write  all of it or nothing
     * @param  \Closure(): bool  $isWithin  whether another transaction is around it, which alone can begin again
     * @return T
     */
    private static function patiently(\Closure $write, \Closure $isWithin, string $driver): mixed
    {
        for ($try = 1; ; $try++) {
            try {
                return $write();
            } catch (PDOException $failed) {
                if ($try === self::TRIES || ! self::isHeld($failed, $driver) || $isWithin()) {
                    throw $failed;
                }
                usleep(random_int(1, self::PAUSE_US) * $try);
            }
        }
    }

    private static function driver(PDO $shop): string
    {
        $driver = $shop->getAttribute(PDO::ATTR_DRIVER_NAME);

        return is_string($driver) ? $driver : '';
    }

    private static function lock(PDO $shop): void
    {
        if (self::driver($shop) === 'pgsql') {
            $shop->query("select set_config('lock_timeout', '".self::PATIENCE."', true)");
            $lock = $shop->prepare('select * from write_lock for update');
            $lock->execute();
            $lock->fetchAll();
        } else {
            $shop->exec('update write_lock set taken = taken + 1');
        }
    }

    private static function isHeld(PDOException $failed, string $driver): bool
    {
        [$state, $code] = [$failed->errorInfo[0] ?? null, $failed->errorInfo[1] ?? null];

        return $driver === 'pgsql'
            ? in_array($state, self::IN_THE_WAY, true)
            : in_array($code, self::HELD, true);
    }
}
