<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A drum is counted by how high it stands: nobody pours two hundred litres into a jug. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('containers', function (Blueprint $table) {
            $table->double('full_ml')->nullable();
            $table->double('full_mm')->nullable();
        });
    }
};
