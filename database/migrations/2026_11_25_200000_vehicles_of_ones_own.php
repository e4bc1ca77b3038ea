<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A shop keeps its own vehicles: notes for who works on one, and a day when it left; found by vehicle and time. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('vehicles', function (Blueprint $table) {
            $table->text('notes')->default('');
            $table->timestamp('retired_at')->nullable();
        });
        Schema::table('jobs', fn (Blueprint $table) => $table->index(['vehicle_id', 'signed_at']));
    }
};
