<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Instruments that send to a job, and what they sent: a row for each channel and minute, packed, beside the journal.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('feeds', function (Blueprint $table) {
            $table->id();
            $table->foreignId('job_id')->constrained('jobs');
            $table->string('name', 60);
            $table->string('token_hash', 64)->unique();
            $table->text('token'); // encrypted: it is shown again while the job is in hand
            $table->foreignId('made_by')->constrained('people');
            $table->string('stand_in', 300)->nullable(); // of a vehicle that is not there: its faults
            $table->bigInteger('offset_ms')->nullable(); // from its own count to the server's clock
            $table->unsignedInteger('jumps')->default(0);
            $table->bigInteger('first_ms')->nullable();
            $table->bigInteger('last_ms')->nullable();
            $table->bigInteger('judged_at')->default(0);
            $table->float('allowance')->default(0);
            $table->bigInteger('allowed_at')->nullable();
            $table->dateTime('ended_at')->nullable();
            $table->dateTime('created_at');
            $table->index('job_id');
        });
        Schema::create('series', function (Blueprint $table) {
            $table->id();
            $table->foreignId('job_id')->constrained('jobs');
            $table->foreignId('feed_id')->constrained('feeds');
            $table->string('channel', 40);
            $table->bigInteger('minute');
            $table->unsignedInteger('points');
            $table->text('packed');
            $table->unique(['job_id', 'channel', 'minute', 'feed_id']);
        });
    }
};
