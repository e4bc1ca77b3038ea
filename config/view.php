<?php

declare(strict_types=1);

// What is served was compiled as it started: nobody asks at each view whether its file has changed since.
return ['check_cache_timestamps' => env('APP_ENV') !== 'production'];
