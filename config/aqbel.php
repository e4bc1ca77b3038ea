<?php

declare(strict_types=1);

return [
    // Shows the demo sign-ins on the sign-in page. Set by `./aqbel demo` alone.
    'demo' => (bool) env('AQBEL_DEMO', false),
    // Where photographs lie, beside the database of the same mode.
    'photos' => env('AQBEL_PHOTOS', storage_path('photos')),
    // Adds the yardstick page of `./aqbel bench`.
    'bench' => (bool) env('AQBEL_BENCH', false),
];
