<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How far a vehicle has run when somebody last looked, and its own interval where it is not the shop's. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('vehicles', function (Blueprint $table) {
            foreach (['odometer_km', 'hours', 'interval_km', 'interval_months', 'interval_hours'] as $number) {
                $table->double($number)->nullable();
            }
            $table->date('read_on')->nullable();
        });
    }
};
