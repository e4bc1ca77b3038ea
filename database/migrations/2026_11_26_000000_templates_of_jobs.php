<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Choices of a plan that a shop makes again and again, under a name of its own. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('job_templates', function (Blueprint $table) {
            $table->id();
            $table->string('name', 60)->unique();
            $table->json('choices');
        });
    }
};
