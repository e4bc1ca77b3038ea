<?php

declare(strict_types=1);

namespace App\Shop;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;

/** What somebody types into a search field: every word must be found somewhere, whatever its case. */
final class Search
{
    /** @return list<string> */
    public static function words(string $typed): array
    {
        return array_values(array_filter(explode(' ', $typed), fn (string $word) => $word !== ''));
    }

    /**
     * @template T of Model
     *
     * @param  Builder<T>  $query
     * @param  list<string>  $columns  in one of which the word is to be found
     * @return Builder<T>
     */
    public static function word(Builder $query, array $columns, string $word): Builder
    {
        // SQLite’s “like” goes by no case, PostgreSQL’s does.
        $like = DB::getDriverName() === 'pgsql' ? 'ilike' : 'like';

        $wanted = '%'.str_replace(['!', '%', '_'], ['!!', '!%', '!_'], $word).'%';

        return $query->where(function (Builder $any) use ($columns, $like, $wanted): void {
            foreach ($columns as $column) {
                $any->orWhereRaw("{$column} {$like} ? escape '!'", [$wanted]);
            }
        });
    }
}
