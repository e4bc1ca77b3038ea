<?php

declare(strict_types=1);

namespace App\Run;

use App\Models\Job;
use Aqbel\Core\Saying\Table;

/** A label for a can, with the day it was mixed and the job it was mixed for. */
final class Labelled
{
    /**
     * @param  list<Table>  $tables
     * @return list<Table>
     */
    public static function of(array $tables, Job $job, int $now): array
    {
        $mixed = ['Mixed', date('Y-m-d', $now)." for {$job->number()}"];

        return array_map(fn (Table $table) => ! $table->isLabel ? $table : new Table(
            $table->caption, $table->head, [...$table->rows, $mixed], $table->marked, $table->note, true,
        ), $tables);
    }
}
