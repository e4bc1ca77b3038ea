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

    /** Which of its figures: “height, mm”; empty where the part is the figure. */
    public function what(Change $change): string
    {
        [, $field] = [...explode(', ', $change->where, 2), ''];

        return str_contains($this->part, $field)
            ? ''
            : preg_replace(['/^z, /', '/^x, /'], ['height, ', 'forward, '], $field).':';
    }
}
