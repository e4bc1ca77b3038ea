<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A lead asks for a height or a volume: whoever works on such a vehicle next is shown it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('circuits', fn (Blueprint $table) => $table->string('asks_for', 60)->nullable());
    }
};
