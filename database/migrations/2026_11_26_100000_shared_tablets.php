<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Tablets that several people share, each by a short PIN of their own; and who is signed in where. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('tablets', function (Blueprint $table) {
            $table->id();
            $table->string('name', 60);
            $table->string('token', 64)->unique();
            $table->timestamp('admitted_at');
            $table->timestamp('ended_at')->nullable();
        });
        Schema::create('sign_ins', function (Blueprint $table) {
            $table->id();
            $table->foreignId('person_id')->constrained();
            $table->unsignedBigInteger('tablet_id')->nullable();
            $table->string('browser', 120);
            $table->timestamp('at');
            $table->timestamp('ended_at')->nullable();
            $table->index(['person_id', 'ended_at']);
        });
        Schema::table('people', function (Blueprint $table) {
            $table->string('pin')->nullable();
            $table->unsignedSmallInteger('pin_tries')->default(0);
        });
        Schema::table('shops', fn (Blueprint $table) => $table->unsignedSmallInteger('lock_minutes')->default(5));
    }
};
