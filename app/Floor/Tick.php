<?php

declare(strict_types=1);

namespace App\Floor;

use PDO;

/**
 * Where the shop stands, as one short text that changes with whatever an open page shows: asked by every open page again
 * and again. It stands on nothing but a connection, so that asking costs hardly anything (public/tick.php).
 */
final class Tick
{
    /** As it is said without a job: all of the shop. */
    public const SHOP = 'shop';

    /**
     * @param  string  $about  SHOP, or the number of one job; of any other page only where danger is
     * @param  string  $key  of the installation: what is counted is nobody else’s business
     */
    public static function of(PDO $shop, string $about, string $key): string
    {
        $danger = 'select count(*), coalesce(sum(danger_since), 0), coalesce(max(id), 0) from jobs where danger_since is not null';
        $asked = match (true) {
            $about === self::SHOP => ['select (select coalesce(max(id), 0) from journal_lines), (select coalesce(max(id), 0) from audit_lines), (select coalesce(max(id), 0) + coalesce(sum(day_rank), 0) from jobs where signed_at is null), (select coalesce(max(id), 0) + count(done_at) + coalesce(sum(held_by), 0) from visits)', []],
            preg_match('/^\d{1,18}$/', $about) === 1 => [
                'select (select coalesce(max(seq), 0) from journal_lines where job_id = ?), (select coalesce(max(id), 0) from audit_lines)', [(int) $about],
            ],
            default => ['select 0', []],
        };
        $counted = [];
        foreach ([[$danger, []], $asked] as [$query, $with]) {
            $statement = $shop->prepare($query);
            $statement->execute($with);
            array_push($counted, ...(array) $statement->fetch(PDO::FETCH_NUM));
        }

        return substr(hash('sha256', "{$key} {$about} ".implode(' ', $counted)), 0, 16);
    }
}
