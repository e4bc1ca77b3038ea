<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A job changes hands, rests over night, or is given up: what it leaves is carried to the next one on that vehicle. */
return new class extends Migration
{
    public function up(): void
    {
        // First: where a table is written anew for a foreign key, its index would come back without its condition.
        DB::statement('drop index if exists one_open_job');
        Schema::table('jobs', function (Blueprint $table) {
            $table->foreignId('held_by')->nullable()->constrained('people');
            $table->timestamp('rests_until')->nullable();
            $table->timestamp('abandoned_at')->nullable();
            $table->foreignId('abandoned_by')->nullable()->constrained('people');
            $table->string('abandoned_because', 300)->default('');
            $table->json('left_behind')->nullable();
        });
        $twice = DB::table('jobs')
            ->whereNull('signed_at')
            ->groupBy('vehicle_id')
            ->select('vehicle_id')
            ->havingRaw('count(*) > 1')
            ->exists();
        if (! $twice) {
            DB::statement(
                'create unique index one_open_job on jobs (vehicle_id) where signed_at is '
                    .'null and abandoned_at is null',
            );
        }
    }
};
