<?php

declare(strict_types=1);

// The framework's own disk serves nothing: what is kept here goes out through pages that ask who it is.
return [
    'default' => 'local',
    'disks' => ['local' => ['driver' => 'local', 'root' => storage_path('app/private'), 'serve' => false]],
];
