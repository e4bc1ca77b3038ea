<?php

declare(strict_types=1);

namespace Tests\Pgsql;

use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Two servers before one database: whoever is signed in at one is at the other, and they write at once. */
final class TwoMachinesTest extends TestCase
{
    public function test_nothing_is_lost_nothing_doubled_and_nothing_ends_in_a_5xx(): void
    {
        DB::statement('create database soak');
        try {
            exec('env -u APP_ENV -u SESSION_DRIVER -u CACHE_STORE -u APP_CONFIG_CACHE -u APP_ROUTES_CACHE DB_NAME=soak '
                .dirname(__DIR__, 2).'/aqbel soak --short 2>&1', $said, $code);
            $said = implode("\n", $said);
            self::assertSame(0, $code, $said);
            self::assertStringContainsString('0 refused, 0 lost, 0 doubled', $said);
            self::assertStringContainsString('0 answers of 5xx', $said);
        } finally {
            DB::statement('drop database soak with (force)');
        }
    }
}
