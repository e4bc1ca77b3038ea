<?php

declare(strict_types=1);

return [
    'default' => env('CACHE_STORE', 'file'),
    'stores' => [
        'file' => ['driver' => 'file', 'path' => env('AQBEL_CACHE', storage_path('framework/cache/data'))],
        'array' => ['driver' => 'array', 'serialize' => false],
    ],
    'prefix' => 'aqbel',
];
