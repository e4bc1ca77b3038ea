<?php

declare(strict_types=1);

return [
    // Shows the demo sign-ins on the sign-in page. Set by `./aqbel demo` alone.
    'demo' => (bool) env('AQBEL_DEMO', false),
    // Adds the yardstick page of `./aqbel bench`.
    'bench' => (bool) env('AQBEL_BENCH', false),
];
