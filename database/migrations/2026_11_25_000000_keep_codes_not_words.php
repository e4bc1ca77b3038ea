<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What was kept by its words is kept by its code: a job by the kind of work, a movement on the shelf by why it
 * happened. An entry's sentence is made from its values when it is read, and is no longer kept beside them.
 */
return new class extends Migration
{
    private const KINDS = [
        'Repair' => 'repair', 'Coolant change' => 'change', 'Coolant lost' => 'lost', 'Bleed only' => 'bleed',
    ];

    private const NOTES = ['put on the shelf' => 'shelved'];

    public function up(): void
    {
        Schema::table('jobs', fn (Blueprint $table) => $table->string('kind', 20)->default('repair'));
        foreach (self::KINDS as $words => $code) {
            DB::table('jobs')->where('reason', $words)->update(['kind' => $code]);
        }
        Schema::table('jobs', fn (Blueprint $table) => $table->dropColumn('reason'));
        Schema::table('journal_lines', fn (Blueprint $table) => $table->dropColumn('said'));
        foreach (self::NOTES as $words => $code) {
            DB::table('container_movements')->where('note', $words)->update(['note' => $code]);
        }
    }
};
