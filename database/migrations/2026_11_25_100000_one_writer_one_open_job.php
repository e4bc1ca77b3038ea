<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('write_lock', function (Blueprint $table) {
            $table->unsignedBigInteger('taken');
        });
        DB::table('write_lock')->insert(['taken' => 0]);
        // Where an older version let two stand open on one vehicle, both go on; the index waits for the next upgrade.
        $twice = DB::table('jobs')
            ->whereNull('signed_at')
            ->groupBy('vehicle_id')
            ->select('vehicle_id')
            ->havingRaw('count(*) > 1')
            ->exists();
        if (! $twice) {
            DB::statement('create unique index one_open_job on jobs (vehicle_id) where signed_at is null');
        }
    }
};
