<?php

declare(strict_types=1);

return [
    // Where several machines serve one shop, whoever signed in at one is signed in at the others.
    'driver' => env('SESSION_DRIVER', env('DB_CONNECTION') === 'pgsql' ? 'database' : 'whole_file'),
    'table' => 'sessions',
    'lifetime' => 720,
    'expire_on_close' => false,
    'encrypt' => false,
    'files' => env('SESSION_FILES', storage_path('framework/sessions')),
    'lottery' => [2, 100],
    // Over TLS the browser itself takes it from this machine alone, and sends it to none beside it.
    'cookie' => env('AQBEL_ADDRESS') === null ? 'aqbel_session' : '__Host-aqbel',
    'path' => '/',
    'domain' => null,
    'secure' => env('AQBEL_ADDRESS') === null ? null : true,
    'http_only' => true,
    'same_site' => 'lax',
];
