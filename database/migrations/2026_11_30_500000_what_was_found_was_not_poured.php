<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What jobs are counted with is made anew: what stood in a circuit before the work had been counted as poured. */
return new class extends Migration
{
    public function up(): void
    {
        DB::table('job_facts')->delete();
        DB::table('jobs')->update(['has_facts' => false]);
    }
};
