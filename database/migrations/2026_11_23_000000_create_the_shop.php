<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('shops', function (Blueprint $table) {
            $table->id();
            $table->string('name', 120);
            $table->float('elevation_m');
            $table->json('rules');
            $table->timestamps();
        });
        Schema::create('people', function (Blueprint $table) {
            $table->id();
            $table->string('name', 80);
            $table->string('login', 40)->unique();
            $table->string('password');
            $table->string('role', 20);
            $table->string('units', 10)->default('metric');
            $table->rememberToken();
            $table->timestamps();
        });
        Schema::create('circuits', function (Blueprint $table) {
            $table->id();
            $table->string('key', 60);
            $table->unsignedInteger('revision');
            $table->string('name', 120);
            $table->json('document');
            $table->timestamps();
            $table->unique(['key', 'revision']);
        });
        Schema::create('vehicles', function (Blueprint $table) {
            $table->id();
            $table->foreignId('circuit_id')->constrained();
            $table->string('plate', 20)->unique();
            $table->string('name', 120);
            $table->timestamps();
        });
        Schema::create('jobs', function (Blueprint $table) {
            $table->id();
            $table->foreignId('vehicle_id')->constrained();
            $table->foreignId('circuit_id')->constrained();
            $table->foreignId('planned_by')->constrained('people');
            $table->string('reason', 120);
            $table->json('plan');
            $table->json('summary')->nullable();
            $table->timestamp('signed_at')->nullable()->index();
            $table->timestamps();
        });
        Schema::create('journal_lines', function (Blueprint $table) {
            $table->id();
            $table->foreignId('job_id')->constrained();
            $table->unsignedInteger('seq');
            $table->string('key', 64);
            $table->foreignId('person_id')->constrained('people');
            $table->string('step', 80);
            $table->string('form', 40);
            $table->json('values');
            $table->json('typed');
            $table->text('said');
            $table->unsignedInteger('at');
            $table->unique(['job_id', 'seq']);
            $table->unique(['job_id', 'key']);
        });
    }
};
