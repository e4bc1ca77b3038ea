<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('products', function (Blueprint $table) {
            $table->id();
            $table->string('kind', 20);
            $table->string('base', 20)->nullable();
            $table->string('inhibitor', 80)->default('');
            $table->float('fraction');
            $table->float('ml');
            $table->float('price');
            $table->timestamps();
        });
        Schema::create('containers', function (Blueprint $table) {
            $table->id();
            $table->string('kind', 20);
            $table->string('base', 20);
            $table->string('inhibitor', 80)->default('');
            $table->float('fraction');
            $table->foreignId('job_id')->nullable()->constrained();
            $table->timestamps();
        });
        Schema::create('container_movements', function (Blueprint $table) {
            $table->id();
            $table->foreignId('container_id')->constrained();
            $table->foreignId('job_id')->nullable()->constrained();
            $table->unsignedInteger('seq')->nullable();
            $table->foreignId('person_id')->constrained('people');
            $table->float('ml');
            $table->string('note', 120)->default('');
            $table->timestamps();
            $table->index(['job_id', 'seq']);
        });
        Schema::create('photos', function (Blueprint $table) {
            $table->ulid('id')->primary();
            $table->foreignId('job_id')->constrained();
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            $table->unsignedInteger('bytes');
            $table->timestamps();
        });
    }
};
