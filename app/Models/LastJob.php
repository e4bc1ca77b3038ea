<?php

declare(strict_types=1);

namespace App\Models;

use Aqbel\Core\Plan\Usage;

/** What the last finished job on a vehicle left for the next. */
final readonly class LastJob
{
    /**
     * @param  string  $month  as year and month, e.g. 2024-05
     * @param  list<string>  $watch  codes, or words as typed
     */
    public function __construct(public string $job, public string $month, public array $watch, public Usage $usage)
    {
    }
}
