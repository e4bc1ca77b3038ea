<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Which jobs still lack what they are found by is read without looking at all of them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('jobs', fn (Blueprint $table) => $table->boolean('has_facts')->default(false));
        DB::statement('update jobs set has_facts = true where id in (select job_id from job_facts)');
        DB::statement(
            'create index jobs_without_facts on jobs (id) where has_facts = false and (signed_at is not null or '
                .'abandoned_at is not null)',
        );
    }
};
