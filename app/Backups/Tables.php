<?php

declare(strict_types=1);

namespace App\Backups;

use Illuminate\Database\Connection;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/**
 * All rows of a shop, from one database to another of the same schema: so a backup of PostgreSQL is the same file as
 * one of SQLite, and a shop that grows takes its file along.
 */
final class Tables
{
    /** What belongs to a machine, or is made by the schema itself. */
    private const NOT_THE_SHOPS = ['migrations', 'sessions', 'cache', 'cache_locks', 'write_lock', 'sqlite_sequence',
        // The full text of SQLite, which follows its table.
        'job_search', 'job_search_config', 'job_search_data', 'job_search_docsize', 'job_search_idx',
    ];

    private const AT_ONCE = 200;

    /** Of the database in use, as it stands at one moment, into a new SQLite file. */
    public static function toFile(string $file): void
    {
        touch($file);
        $here = DB::connection();
        // Before an upgrade the schema is the earlier version's, in the copy too.
        $has = $here->table('migrations')->pluck('migration')
            ->map(fn (mixed $name) => database_path("migrations/{$name}.php"));
        $copy = self::open($file, array_values($has->all()));
        $here->transaction(function () use ($here, $copy): void {
            if ($here->transactionLevel() === 1) {
                $here->statement('set transaction isolation level repeatable read');
            }
            $copy->transaction(fn () => self::copy($here, $copy));
        });
        $copy->disconnect();
    }

    /** In place of all that the database in use holds; nothing is changed where one row is refused. */
    public static function fromFile(string $file): void
    {
        $copy = self::open($file);
        $here = DB::connection();
        $here->transaction(function () use ($here, $copy): void {
            foreach (array_reverse(self::inOrder($here)) as $table) {
                $here->table($table)->delete();
            }
            self::copy($copy, $here);
        });
        $copy->disconnect();
    }

    /** @param  list<string>  $migrations  by which its schema is made; all of this version, where none are named */
    private static function open(string $file, array $migrations = []): Connection
    {
        config(['database.connections.backup' => [
            ...(array) config('database.connections.sqlite'),
            'database' => $file,
            'journal_mode' => 'delete',
        ]]);
        DB::purge('backup');
        Artisan::call('migrate', [
            '--database' => 'backup',
            '--path' => $migrations,
            '--realpath' => true,
            '--force' => true,
        ]);

        return DB::connection('backup');
    }

    private static function copy(Connection $from, Connection $to): void
    {
        foreach (self::inOrder($to) as $table) {
            $columns = array_column($to->getSchemaBuilder()->getColumns($table), 'type_name', 'name');
            $booleans = array_keys($columns, 'bool', true);
            $cast = function (object $row) use ($booleans): array {
                $values = (array) $row;
                foreach ($booleans as $column) {
                    $values[$column] = (bool) $values[$column];
                }

                return $values;
            };
            $from->table($table)->chunkById(
                self::AT_ONCE,
                fn ($rows) => $to->table($table)->insert($rows->map($cast)->all()),
            );
            if ($to->getDriverName() === 'pgsql' && str_contains($columns['id'], 'int')) {
                $to->select("select setval(pg_get_serial_sequence(?, 'id'), (select coalesce(max(id), 0) + 1 from "
                    ."{$table}), false)", [$table]);
            }
        }
    }

    /** @return list<string> the shop's tables, each after those it points to */
    private static function inOrder(Connection $of): array
    {
        $schema = $of->getSchemaBuilder();
        $wanted = array_diff($schema->getTableListing(schemaQualified: false), self::NOT_THE_SHOPS);
        $order = [];
        while ($wanted !== []) {
            $ready = array_filter($wanted, fn (string $table) => array_diff(
                array_intersect(array_column($schema->getForeignKeys($table), 'foreign_table'), $wanted),
                [$table],
            ) === []);
            $order = [...$order, ...array_values($ready)];
            $wanted = array_diff($wanted, $ready);
        }

        return $order;
    }
}
