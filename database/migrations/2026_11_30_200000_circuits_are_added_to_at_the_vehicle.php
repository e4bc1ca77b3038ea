<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Whoever stands at the vehicle adds what is missing, and it is there
 * at once; a lead looks at it and keeps it, or takes it back.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('circuits', function (Blueprint $table): void {
            $table->foreignId('added_by')->nullable()->constrained('people');
            $table->dateTime('looked_at')->nullable();
        });
    }
};
