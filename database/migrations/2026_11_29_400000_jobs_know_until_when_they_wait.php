<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Until when the running clock of a job in hand lets go, so that the
 * floor finds the sixty that come first without reading all.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('jobs', function (Blueprint $table) {
            $table->unsignedBigInteger('waits_until')->nullable();
        });
        DB::table('jobs')
            ->whereNull('signed_at')
            ->whereNotNull('summary')
            ->select(['id', 'summary'])
            ->orderBy('id')
            ->each(function (object $job): void {
                $until = json_decode((string) $job->summary, true)['clock']['until'] ?? null;
                DB::table('jobs')
                    ->where('id', $job->id)
                    ->update(['waits_until' => is_int($until) ? $until : null]);
            });
    }
};
