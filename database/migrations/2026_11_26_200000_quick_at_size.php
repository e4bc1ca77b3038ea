<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * After years there are thousands of empty cans: what each holds is kept with it, and the full ones are found by that.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('containers', function (Blueprint $table) {
            $table->double('holds_ml')->default(0)->index();
        });
        Schema::table('container_movements', fn (Blueprint $table) => $table->index('container_id'));
        DB::statement('create index jobs_closed on jobs (coalesce(signed_at, abandoned_at))');
        DB::statement(
            'update containers set holds_ml = coalesce((select sum(ml) from '
                .'container_movements where container_id = containers.id), 0)',
        );
    }
};
