<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** One thermometer, held to one heater outlet after the other: at which it is now. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('feeds', fn (Blueprint $table) => $table->string('outlet', 40)->nullable());
    }
};
