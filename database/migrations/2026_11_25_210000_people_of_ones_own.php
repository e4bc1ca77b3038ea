<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A first password that somebody else chose is changed at once; whoever left signs in no more. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('people', function (Blueprint $table) {
            $table->boolean('must_change')->default(false);
            $table->timestamp('disabled_at')->nullable();
        });
    }
};
