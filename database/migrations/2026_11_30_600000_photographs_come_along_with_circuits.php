<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Photographs of a circuit's points that came from another shop with it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('circuit_photos', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('circuit_key', 60);
            $table->string('port', 80);
            $table->string('digest', 64);
            $table->text('jpeg');
            $table->timestamp('created_at')->nullable();
            $table->unique(['circuit_key', 'port', 'digest']);
        });
    }
};
