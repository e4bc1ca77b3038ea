<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Who practised what, and what it came to: filled on the practice
 * ground alone, where every table of the shop stands once more.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('practices', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->unique()->constrained();
            $table->foreignId('person_id')->constrained('people');
            $table->string('exercise');
            $table->integer('lines_before');
            $table->bigInteger('begun_at');
            $table->bigInteger('clock_at');
            $table->bigInteger('clock_set_ms');
            $table->integer('speed');
            $table->bigInteger('ended_at')->nullable();
            $table->json('came_to')->nullable();
            $table->timestamp('created_at')->nullable();
        });
    }

    public function down(): void
    {
        Schema::drop('practices');
    }
};
