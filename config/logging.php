<?php

declare(strict_types=1);

return [
    // What went wrong, a file a day for two weeks. It carries job and step, and nothing of what people entered.
    'channels' => [
        'daily' => [
            'driver' => 'daily',
            'path' => env('AQBEL_LOGS', storage_path('logs')).'/aqbel.log',
            'level' => 'warning',
            'days' => 14,
        ],
        // Who was let in nowhere, kept longer: somebody may ask weeks later.
        'security' => [
            'driver' => 'daily',
            'path' => env('AQBEL_LOGS', storage_path('logs')).'/security.log',
            'level' => 'warning',
            'days' => 90,
        ],
    ],
];
