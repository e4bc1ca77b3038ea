<?php

declare(strict_types=1);

namespace App\Practice;

use App\Floor\Tick;
use App\Models\Person;
use App\Models\Shop;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/**
 * Where somebody practises: a database of its own on this machine, with the same tables and pages as the shop’s.
 * Nothing done there can reach a record, a store, a figure or a backup of the shop, because it stands nowhere near
 * them. An address tells by its number alone on which of the two it is.
 */
final class Ground
{
    public const CONNECTION = 'practice';

    /** No shop has so many jobs: numbers from here on are practice. */
    public const FIRST = Tick::PRACTICE;

    /** The shop’s own connection while one stands on this ground. */
    private static ?string $left = null;

    public static function holds(mixed $id): bool
    {
        return is_numeric($id) && (int) $id >= self::FIRST && self::isMade();
    }

    /** Whether anybody has practised here yet. */
    public static function isMade(): bool
    {
        return is_file(self::file());
    }

    /** Whether this request stands on it. */
    public static function isHere(): bool
    {
        return self::$left !== null;
    }

    /**
     * Done on it; afterwards one stands where one stood before.
     *
     * @template T
     *
     * @param  \Closure(): T  $do
     * @return T
     */
    public static function on(\Closure $do): mixed
    {
        if (self::isHere()) {
            return $do();
        }
        // The house, its height and its rules are the shop’s there too.
        Shop::here();
        $shop = DB::getDefaultConnection();
        self::$left = $shop;
        DB::setDefaultConnection(self::CONNECTION);
        try {
            return $do();
        } finally {
            DB::setDefaultConnection($shop);
            self::$left = null;
        }
    }

    /** The shop’s own data, wherever one stands. */
    public static function shop(): Connection
    {
        return DB::connection(self::$left);
    }

    /** Its database, made or brought up to date where it has to be. */
    public static function prepare(): void
    {
        $file = self::file();
        // Whoever comes second waits, and finds it made.
        $one = fopen("{$file}.lock", 'c') ?: throw new \RuntimeException("Nothing can be written beside {$file}.");
        flock($one, LOCK_EX);
        is_file($file) || touch($file);
        $ours = count(glob(database_path('migrations/*.php')) ?: []);
        $there = DB::connection(self::CONNECTION)->getSchemaBuilder()->hasTable('migrations')
            ? DB::connection(self::CONNECTION)->table('migrations')->count()
            : 0;
        if ($there < $ours) {
            Artisan::call('migrate', ['--database' => self::CONNECTION, '--force' => true]);
        }
        DB::connection(self::CONNECTION)->statement(
            "insert into sqlite_sequence (name, seq) select name, ? from sqlite_master where type = 'table' and sql "
                ."like '%autoincrement%' and name not in (select name from sqlite_sequence)",
            [self::FIRST],
        );
        DB::connection(self::CONNECTION)->statement('update sqlite_sequence set seq = ? where seq < ?', [
            self::FIRST,
            self::FIRST,
        ]);
        fclose($one);
    }

    /** Somebody who writes there has a name there, under the number they have in the shop. */
    public static function knows(Person $person): void
    {
        $row = array_intersect_key(
            $person->getAttributes(),
            array_flip(DB::connection(self::CONNECTION)->getSchemaBuilder()->getColumnListing('people')),
        );
        DB::connection(self::CONNECTION)
            ->table('people')
            ->upsert(['password' => '', 'pin' => null] + $row, ['id'], ['name', 'role', 'units']);
    }

    private static function file(): string
    {
        return (string) config('database.connections.'.self::CONNECTION.'.database');
    }
}
