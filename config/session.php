<?php

declare(strict_types=1);

return [
    // Where several machines serve one shop, whoever signed in at one is signed in at the others.
    'driver' => env('SESSION_DRIVER', env('DB_CONNECTION') === 'pgsql' ? 'database' : 'file'),
    'table' => 'sessions',
    'lifetime' => 720,
    'expire_on_close' => false,
    'encrypt' => false,
    'files' => env('SESSION_FILES', storage_path('framework/sessions')),
    'lottery' => [2, 100],
    'cookie' => 'aqbel_session',
    'path' => '/',
    'domain' => null,
    'secure' => null,
    'http_only' => true,
    'same_site' => 'lax',
];
