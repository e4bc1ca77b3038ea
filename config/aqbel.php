<?php

declare(strict_types=1);

return [
    // What is installed here, as one number; CHANGELOG.md says what came with it.
    'version' => trim((string) file_get_contents(__DIR__.'/../VERSION')),
    // Shows the demo sign-ins on the sign-in page. Set by `./aqbel demo` alone.
    'demo' => (bool) env('AQBEL_DEMO', false),
    // Names and addresses this installation is reached by; any other Host is refused.
    'hosts' => array_values(array_filter(explode(',', (string) env('AQBEL_HOSTS', '127.0.0.1,localhost')))),
    // How tablets reach this installation, and where they find the certificate they are to trust; null where only this
    // machine does.
    'address' => env('AQBEL_ADDRESS'),
    'trust_address' => env('AQBEL_TRUST_ADDRESS'),
    'certificate' => env('AQBEL_CERTIFICATE'),
    // The file with the code that the launcher printed, asked for when the first lead is made; null asks for none.
    'first_start' => env('AQBEL_FIRST_START'),
    // Where the shop's clock is kept while the machine's may jump; null goes by the machine's.
    'clock' => env('AQBEL_CLOCK'),
    // What this installation keeps beside its database: how the last backup went, its codes.
    'folder' => env('AQBEL_FOLDER', dirname((string) env('DB_DATABASE', storage_path('aqbel.sqlite')))),
    // Where photographs lie, beside the database of the same mode.
    'photos' => env('AQBEL_PHOTOS', storage_path('photos')),
    // How much all of them together may take, MB.
    'photo_mb' => (float) env('AQBEL_PHOTO_MB', 20_000),
    // Adds the yardstick page of `./aqbel bench`.
    'bench' => (bool) env('AQBEL_BENCH', false),
];
