<?php

declare(strict_types=1);

namespace App\Shop;

use PDO;

/** The shop's data for what is answered without starting the application: as config/database.php has it. */
final class Connection
{
    /** For another one that writes, s. */
    private const WAITS_S = 5;

    public static function open(): PDO
    {
        if (self::env('DB_CONNECTION', 'sqlite') === 'pgsql') {
            return new PDO(
                'pgsql:host='.self::env('DB_HOST', '127.0.0.1').';port='.self::env('DB_PORT', '5432')
                    .';dbname='.self::env('DB_NAME', 'aqbel').';sslmode='.self::env('DB_SSLMODE', 'prefer'),
                self::env('DB_USERNAME', 'aqbel'),
                self::env('DB_PASSWORD', ''),
            );
        }

        return self::sqlite(self::file());
    }

    /** Where people practise. */
    public static function practice(): PDO
    {
        return self::sqlite(self::env('AQBEL_PRACTICE', dirname(self::file()).'/practice.sqlite'));
    }

    public static function env(string $name, string $else): string
    {
        return (string) (getenv($name) ?: $else);
    }

    private static function file(): string
    {
        return self::env('DB_DATABASE', dirname(__DIR__, 2).'/storage/aqbel.sqlite');
    }

    private static function sqlite(string $file): PDO
    {
        return new PDO("sqlite:{$file}", options: [PDO::ATTR_TIMEOUT => self::WAITS_S]);
    }
}
