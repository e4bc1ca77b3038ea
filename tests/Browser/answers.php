<?php

declare(strict_types=1);

// What an ordinary technician answers at the step in hand of a job: for every line in, one line out; an empty one once
// the job is signed. It reads the database of the browser tests and writes nothing. `answers.php JOB`

use App\Http\Middleware\ShopClock;
use App\Models\Job;
use App\Practice\Answers;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Contracts\Console\Kernel;

require __DIR__.'/../../vendor/autoload.php';
(require __DIR__.'/../../bootstrap/app.php')->make(Kernel::class)->bootstrap();

$clock = config('aqbel.folder').'/'.ShopClock::FILE;
while (fgets(STDIN) !== false) {
    $state = Job::query()->with('circuit')->findOrFail((int) $argv[1])->state();
    $step = $state->stepInHand();
    if ($step === null) {
        echo "\n";

        continue;
    }
    clearstatcache();
    $at = $state->at($step, time() + (is_file($clock) ? (int) file_get_contents($clock) : 0));
    $kind = app(StepCatalogue::class)->of($step);
    echo json_encode([
        'step' => $step->id,
        'before' => Answers::before($at),
        'answers' => Answers::to($kind, $at),
        'wait' => $step->kind === 'cured',
    ])."\n";
}
