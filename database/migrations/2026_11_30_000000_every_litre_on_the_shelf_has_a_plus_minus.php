<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What is moved has a ±, a count says what is there, and what is given away, spilled or thrown away is told as such.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('container_movements', function (Blueprint $table): void {
            $table->float('plus_minus_ml')->nullable();
            $table->float('counted_ml')->nullable();
            $table->string('remark', 120)->default('');
        });
        // Until now a count was kept as what it changed: what was there is the sum up to it.
        $holds = [];
        foreach (DB::table('container_movements')->orderBy('id')->get(['id', 'container_id', 'ml', 'note']) as $moved) {
            $holds[$moved->container_id] = ($holds[$moved->container_id] ?? 0.0) + $moved->ml;
            if ($moved->note === 'counted') {
                DB::table('container_movements')
                    ->where('id', $moved->id)
                    ->update(['counted_ml' => max(0.0, $holds[$moved->container_id])]);
            }
        }
    }
};
