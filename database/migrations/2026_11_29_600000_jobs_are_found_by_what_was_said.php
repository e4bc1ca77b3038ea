<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What a finished job can be found by, and what a month is summed up from: made from its journal, and made anew
 * whenever it is missing. Found by the databases' own full text.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('job_facts', function (Blueprint $table) {
            $table->id();
            $table->foreignId('job_id')->unique()->constrained('jobs');
            $table->string('month', 7)->index();
            $table->text('text');
            $table->float('in_ml')->default(0);
            $table->float('out_ml')->default(0);
            $table->float('air_predicted_ml')->nullable();
            $table->float('air_found_ml')->nullable();
            $table->float('minutes')->default(0);
            $table->boolean('came_back')->default(false);
        });
        if (DB::getDriverName() === 'pgsql') {
            DB::statement("create index job_facts_found on job_facts using gin (to_tsvector('simple', text))");

            return;
        }
        DB::statement(
            "create virtual table job_search using fts5(text, content='job_facts', content_rowid='id', "
                ."tokenize='unicode61 remove_diacritics 2', prefix='2 3')",
        );
        DB::statement(
            'create trigger job_facts_in after insert on job_facts begin insert into job_search(rowid, '
                .'text) values (new.id, new.text); end',
        );
        DB::statement(
            'create trigger job_facts_out after delete on job_facts begin insert into '
                ."job_search(job_search, rowid, text) values ('delete', old.id, old.text); end",
        );
        DB::statement(
            'create trigger job_facts_new after update of text on job_facts begin insert into '
                ."job_search(job_search, rowid, text) values ('delete', old.id, old.text); "
                .'insert into job_search(rowid, text) values (new.id, new.text); end',
        );
    }
};
