<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What the last look at a job leaves for the batches of an instrument that follow it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('feeds', fn (Blueprint $table) => $table->string('quiet', 200)->nullable());
    }
};
