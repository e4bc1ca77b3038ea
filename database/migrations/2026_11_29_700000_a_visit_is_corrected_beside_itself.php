<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A visit that was wrong stays as it was signed, struck out with a reason; what counts instead stands beside it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('visits', function (Blueprint $table) {
            $table->dateTime('struck_at')->nullable();
            $table->foreignId('struck_by')->nullable()->constrained('people');
            $table->string('struck_because', 300)->default('');
            $table->unsignedBigInteger('instead_of')->nullable();
        });
    }
};
