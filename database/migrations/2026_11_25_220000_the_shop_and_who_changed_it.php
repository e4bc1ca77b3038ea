<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * What a shop has at hand and whom it lets do what; and who changed the shop, its rules, people, circuits, vehicles.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('shops', function (Blueprint $table) {
            $table->json('tools')->nullable();
            $table->json('granted')->nullable();
        });
        Schema::create('audit_lines', function (Blueprint $table) {
            $table->id();
            $table->foreignId('person_id')->constrained();
            $table->string('what', 20);
            $table->string('subject', 120);
            $table->json('changes');
            $table->timestamp('at')->index();
        });
    }
};
