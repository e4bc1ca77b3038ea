<?php

declare(strict_types=1);

namespace App\Record;

use App\Shop\Search;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Finished jobs by what was typed into one field: every word begins something that was said of them. */
final class RecordSearch
{
    private const MOST_WORDS = 8;

    /**
     * @param  Builder  $query  of jobs joined with their facts
     */
    public static function narrow(Builder $query, string $typed): void
    {
        $words = self::words($typed);
        if ($words === []) {
            return;
        }
        if (DB::getDriverName() === 'pgsql') {
            $query->whereRaw("to_tsvector('simple', job_facts.text) @@ to_tsquery('simple', ?)", [
                implode(' & ', array_map(fn (string $word) => "'{$word}':*", $words)),
            ]);

            return;
        }
        $wanted = implode(' ', array_map(fn (string $word) => "\"{$word}\"*", $words));
        $query->whereIn(
            'job_facts.id',
            DB::table('job_search')
                ->whereRaw('job_search match ?', [$wanted])
                ->select('rowid'),
        );
    }

    /**
     * Why a job was found: the lines of it in which the words stand, those that every result has left out.
     *
     * @return list<string>
     */
    public static function why(string $text, string $typed): array
    {
        $words = array_map(mb_strtolower(...), self::words($typed));
        $found = array_filter(explode("\n", $text), function (string $line) use ($words): bool {
            foreach ($words as $word) {
                if (preg_match('/(?<![\pL\pN])'.preg_quote($word, '/').'/u', mb_strtolower($line)) === 1) {
                    return true;
                }
            }

            return false;
        });

        return array_slice(array_values($found), 0, 3);
    }

    /** @return list<string> letters and digits alone, as the full text of both databases cuts them */
    private static function words(string $typed): array
    {
        $words = [];
        foreach (Search::words($typed) as $word) {
            array_push($words, ...(preg_split('/[^\pL\pN]+/u', $word, -1, PREG_SPLIT_NO_EMPTY) ?: []));
        }

        return array_slice($words, 0, self::MOST_WORDS);
    }
}
