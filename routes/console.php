<?php

declare(strict_types=1);

use App\Backups\Backup;
use App\Backups\LastBackup;
use App\Backups\NoBackup;
use App\Backups\Restoring;
use App\Http\Controllers\FirstStartController;
use App\Instruments\Door;
use App\Instruments\StandIn;
use App\Models\Job;
use App\Models\Person;
use App\Record\Facts;
use App\Shop\Sweep;
use Aqbel\Core\InvalidField;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Illuminate\Support\Facades\Schema;

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

// A vehicle that is not there, sending through the door like any instrument: in the demo alone.
Artisan::command('aqbel:stand-in {--job=} {--fault=*} {--to=http://127.0.0.1:8310} {--for=3600} {--speed=1}', function (): int {
    $id = Job::idOf((string) $this->option('job'));
    $job = $id === null ? null : Job::query()->find($id);
    if (! config('aqbel.demo') || $job === null) {
        $this->line($job === null ? 'There is no such job. Say which: --job J0007.' : 'A stand-in sends in the demo alone.');

        return Command::FAILURE;
    }
    if ((float) $this->option('speed') !== 1.0) {
        $this->line('A job on the floor goes by the shop’s clock. What is to go faster is practised: '
            .'/practice runs at 5 and 20 times, and to the end of a wait.');

        return Command::FAILURE;
    }
    try {
        $faults = implode(',', (array) $this->option('fault'));
        StandIn::faults($faults);
        $feed = Door::open($job, $job->holder ?? $job->planner, 'Stand-in', $faults);
    } catch (InvalidField $why) {
        $this->line("{$why->field}: {$why->getMessage()}");

        return Command::FAILURE;
    }
    $this->line("A vehicle that is not there sends to {$job->number()}. Start its engine in the run; end with Ctrl+C.");
    $sinceS = -1.0;
    for ($second = 0; $second < (int) $this->option('for'); $second++) {
        $lines = (new StandIn($feed->refresh()))->lines($sinceS, now()->getTimestamp());
        if ($lines !== []) {
            $answer = Http::timeout(5)->withBody(implode("\n", $lines), 'text/csv')->post(rtrim((string) $this->option('to'), '/')."/feeds/{$feed->token}");
            $sinceS = $answer->successful() ? max(array_map(fn (string $line) => (float) explode(',', $line)[1], $lines)) : $sinceS;
            if ($answer->status() === 410) {
                break;
            }
        }
        sleep(1);
    }

    return Command::SUCCESS;
})->purpose('A vehicle that is not there sends to a job of the demo');

/** What went wrong with a backup is said in one line, and ends the command with an error. */
$said = function (Command $command, Closure $work): int {
    try {
        $command->line($work());

        return Command::SUCCESS;
    } catch (NoBackup $why) {
        $command->line($why->getMessage());

        return Command::FAILURE;
    }
};
$told = fn (Backup $backup): string => sprintf(
    '%s: %s of %s, %d files, whole',
    $backup->file,
    $backup->manifest->shop,
    $backup->manifest->madeAt,
    count($backup->manifest->files),
);

Artisan::command('aqbel:backup {folder} {--name=aqbel} {--keep=0}', function (string $folder) use ($said, $told): int {
    return $said($this, function () use ($folder, $told): string {
        [$name, $keep] = [(string) $this->option('name'), (int) $this->option('keep')];
        try {
            $backup = Backup::verified(Backup::make($folder, $name)->file);
        } catch (NoBackup $failed) {
            LastBackup::failed($failed->getMessage());
            throw $failed;
        }
        LastBackup::worked($backup->file);
        // The one thing that comes by every night.
        Sweep::cache();
        if ($keep > 0) {
            Backup::rotate($folder, $keep, $name);
        }

        return $told($backup);
    });
})->purpose('Copies everything into one file while people work, and looks at every byte of it');

Artisan::command('aqbel:verify {file}', function (string $file) use ($said, $told): int {
    return $said($this, fn (): string => $told(Backup::verified($file)));
})->purpose('Looks at every byte of a backup');

Artisan::command('aqbel:restore {file} {--replace}', function (string $file) use ($said): int {
    return $said($this, fn (): string => Restoring::from($file, (bool) $this->option('replace')));
})->purpose('Puts a backup back into an empty place');

// Asked by the launcher before it migrates: a shop is copied before its schema changes.
Artisan::command('aqbel:before-upgrade {folder} {from?}', function (string $folder, ?string $from = null) use ($said, $told): int {
    return $said($this, function () use ($folder, $from, $told): string {
        $files = array_keys(app('migrator')->getMigrationFiles(database_path('migrations')));
        $had = Schema::hasTable('migrations') ? DB::table('migrations')->pluck('migration')->all() : [];
        if ($had === [] || array_diff($files, $had) === []) {
            return '';
        }
        $steps = array_map(fn (string $one) => str_replace('_', ' ', substr($one, strlen('2026_01_01_000000_'))), array_diff($files, $had));
        $this->line(sprintf('From %s to %s. A backup is kept, then the database changes: %s.', ($from ?? '') === '' ? 'an earlier version' : $from,
            config('aqbel.version'), implode('; ', $steps)));
        $backup = Backup::verified(Backup::make($folder, 'before-upgrade')->file);
        Backup::rotate($folder, 5, 'before-upgrade');

        return 'Before the upgrade: '.$told($backup);
    });
})->purpose('A backup before the schema changes; nothing where it does not');

// What jobs of an earlier version are found by.
Artisan::command('aqbel:index', function (): int {
    Facts::keepMissing();

    return 0;
});
