<?php

declare(strict_types=1);

return [
    'default' => env('CACHE_STORE', 'file'),
    // Tries at a password are counted over all machines that serve one shop.
    'limiter' => env('CACHE_STORE', env('DB_CONNECTION') === 'pgsql' ? 'database' : 'file'),
    'stores' => [
        'file' => ['driver' => 'file', 'path' => env('AQBEL_CACHE', storage_path('framework/cache/data'))],
        'database' => ['driver' => 'database', 'table' => 'cache', 'lock_table' => 'cache_locks'],
        'array' => ['driver' => 'array', 'serialize' => false],
    ],
    'prefix' => 'aqbel',
];
