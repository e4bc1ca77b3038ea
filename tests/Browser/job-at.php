<?php

declare(strict_types=1);

// A job of the demo shop taken up to a step by the recorder itself;
// prints its number. `job-at.php PLATE SCHOOL LOGIN STEP`

use App\Models\Person;
use Database\Seeders\DemoSeeder;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Carbon;

require __DIR__.'/../../vendor/autoload.php';
(require __DIR__.'/../../bootstrap/app.php')->make(Kernel::class)->bootstrap();

[, $plate, $school, $login, $step] = $argv;
$walk = DemoSeeder::job($plate, $school, Person::query()->where('login', $login)->firstOrFail(), 400)->until($step);
echo $walk->job->id;
Carbon::setTestNow();
