<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Looks at a vehicle after its record was signed, and calendars that show when they are due. */
return new class extends Migration
{
    /** What was booked longer ago than this before visits were kept is nobody's due any more. */
    private const DAYS_BACK = 30;

    public function up(): void
    {
        Schema::create('visits', function (Blueprint $table) {
            $table->id();
            $table->foreignId('job_id')->constrained('jobs');
            $table->date('due_on');
            $table->string('asked_by', 16);
            $table->string('watch', 500)->default('');
            $table->foreignId('held_by')->nullable()->constrained('people');
            $table->dateTime('done_at')->nullable();
            $table->foreignId('done_by')->nullable()->constrained('people');
            $table->string('skipped_because', 300)->default('');
            $table->string('key', 64)->nullable()->unique();
            $table->json('values')->nullable();
            $table->json('typed')->nullable();
            $table->string('photo_id', 26)->nullable();
            $table->dateTime('created_at');
            $table->index(['done_at', 'due_on']);
            $table->index('job_id');
        });
        Schema::table('jobs', function (Blueprint $table) {
            $table->dateTime('followed_at')->nullable();
            $table->dateTime('closed_at')->nullable();
            // Put before others in the plan of the day.
            $table->unsignedInteger('day_rank')->nullable();
            // Of a job that came from elsewhere: all of it, as it came.
            $table->text('document')->nullable();
        });
        // One that was taken after the record was signed is not what it was signed with.
        Schema::table('photos', fn (Blueprint $table) => $table->boolean('of_visit')->default(false));
        Schema::table('people', fn (Blueprint $table) => $table->string('calendar', 64)->nullable()->unique());
        Schema::table('shops', fn (Blueprint $table) => $table->string('calendar', 64)->nullable());
        $this->bookWhatWasBooked();
    }

    private function bookWhatWasBooked(): void
    {
        $since = Carbon::now()->subDays(self::DAYS_BACK);
        DB::table('jobs')
            ->where('signed_at', '>=', $since)
            ->orderBy('id')
            ->each(function (object $job): void {
                $line = DB::table('journal_lines')
                    ->where('job_id', $job->id)
                    ->where('form', 'booked')
                    ->orderByDesc('seq')
                    ->first();
                $values = $line === null ? [] : (array) json_decode((string) $line->values, true);
                if (is_numeric($values['days'] ?? null)) {
                    DB::table('visits')->insert([
                        'job_id' => $job->id,
                        'due_on' => Carbon::parse($job->signed_at)->addDays((int) $values['days'])->format('Y-m-d'),
                        'asked_by' => 'rule',
                        'watch' => mb_substr(is_string($values['note'] ?? null) ? $values['note'] : '', 0, 500),
                        'created_at' => $job->signed_at,
                    ]);
                }
            });
    }
};
