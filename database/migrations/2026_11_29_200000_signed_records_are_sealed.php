<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a signed record can be checked against; those signed before have nothing to be checked by. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('jobs', function (Blueprint $table) {
            $table->char('seal', 64)->nullable();
        });
        Schema::table('photos', function (Blueprint $table) {
            $table->char('digest', 64)->nullable();
        });
    }
};
