<?php

declare(strict_types=1);

namespace App\Library;

use App\Audit\Change;

/** One part in which two circuits differ: taken over as a whole, or left as it is. */
final readonly class Difference
{
    /**
     * @param  string  $key  list and id, as in `nodes.neck`, or the fact, as in `facts.cap_kpa`
     * @param  string  $part  what it is called
     * @param  non-empty-list<Change>  $changes  from ours to theirs
     */
    public function __construct(public string $key, public string $part, public array $changes)
    {
    }
}
