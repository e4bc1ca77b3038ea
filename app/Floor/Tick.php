<?php

declare(strict_types=1);

namespace App\Floor;

use PDO;

/**
 * Where the shop stands, as one short text that changes with whatever an open page shows: asked by every open page
 * again and again. It stands on nothing but a connection, so that asking costs hardly anything (public/tick.php).
 */
final class Tick
{
    /** Jobs from this number on are practised on, and stand in a database of their own. */
    public const PRACTICE = 900_000_000;

    /** As it is said without a job: all of the shop. */
    public const SHOP = 'shop';

    /**
     * @param  string  $about  SHOP, or the number of one job; of any other page only where danger is
     * @param  ?PDO  $practice  where that job stands, when somebody practises on it
     * @param  string  $key  of the installation: what is counted is nobody else’s business
     */
    public static function of(PDO $shop, string $about, string $key, ?PDO $practice = null): string
    {
        $danger = 'select count(*), coalesce(sum(danger_since), 0), coalesce(max(id), '
            .'0) from jobs where danger_since is not null';
        $asked = match (true) {
            $about === self::SHOP => [
                'select (select coalesce(max(id), 0) from journal_lines), (select coalesce(max(id), '
                .'0) from audit_lines), (select coalesce(max(id), 0) + coalesce(sum(day_rank * id), '
                .'0) from jobs where signed_at is null), (select coalesce(max(id), 0) + count(done_at) + '
                .'coalesce(sum(held_by), 0) from visits)',
                [],
            ],
            preg_match('/^\d{1,18}$/', $about) === 1 => [
                'select (select coalesce(max(seq), 0) from journal_lines where job_id = ?), '
                .'(select coalesce(max(id), 0) from audit_lines)',
                [(int) $about],
            ],
            default => ['select 0', []],
        };
        $counted = [];
        foreach ([[$shop, $danger, []], [$practice ?? $shop, ...$asked]] as [$on, $query, $with]) {
            $statement = $on->prepare($query);
            $statement->execute($with);
            array_push($counted, ...(array) $statement->fetch(PDO::FETCH_NUM));
        }

        return substr(hash('sha256', "{$key} {$about} ".implode(' ', $counted)), 0, 16);
    }
}
