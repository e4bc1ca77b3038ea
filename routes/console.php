<?php

declare(strict_types=1);

use App\Http\Controllers\FirstStartController;
use App\Models\Person;
use Illuminate\Support\Facades\Artisan;

// Asked by the launcher: the code for the page that makes the first lead; nothing once there is somebody.
Artisan::command('aqbel:first-start', function (): void {
    if (Person::query()->exists()) {
        return;
    }
    if (! is_file((string) config('aqbel.first_start'))) {
        file_put_contents((string) config('aqbel.first_start'), bin2hex(random_bytes(5)));
    }
    $this->line((string) FirstStartController::code());
})->purpose('The code for the first start, while there is nobody yet');
