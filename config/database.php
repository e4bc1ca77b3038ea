<?php

declare(strict_types=1);

return [
    'default' => env('DB_CONNECTION', 'sqlite'),
    'connections' => [
        'sqlite' => [
            'driver' => 'sqlite',
            'database' => env('DB_DATABASE', storage_path('aqbel.sqlite')),
            'prefix' => '',
            'foreign_key_constraints' => true,
            'busy_timeout' => 5000,
            'journal_mode' => env('DB_JOURNAL', 'wal'),
            'synchronous' => env('DB_SYNCHRONOUS', 'full'),
            'transaction_mode' => 'IMMEDIATE',
        ],
        // Jobs somebody learns on, apart from everything that is kept of a shop; of this machine alone.
        'practice' => [
            'driver' => 'sqlite',
            'database' => env(
                'AQBEL_PRACTICE',
                dirname((string) env('DB_DATABASE', storage_path('aqbel.sqlite'))).'/practice.sqlite',
            ),
            'prefix' => '',
            'foreign_key_constraints' => true,
            'busy_timeout' => 5000,
            'journal_mode' => 'wal',
            'synchronous' => 'normal',
            'transaction_mode' => 'IMMEDIATE',
        ],
        // Where one machine is not enough: deploy/README.md.
        'pgsql' => [
            'driver' => 'pgsql',
            'host' => env('DB_HOST', '127.0.0.1'),
            'port' => env('DB_PORT', '5432'),
            'database' => env('DB_NAME', 'aqbel'),
            'username' => env('DB_USERNAME', 'aqbel'),
            'password' => env('DB_PASSWORD', ''),
            'charset' => 'utf8',
            'prefix' => '',
            'search_path' => 'public',
            'sslmode' => env('DB_SSLMODE', 'prefer'),
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];
