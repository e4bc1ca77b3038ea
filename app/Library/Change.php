<?php

declare(strict_types=1);

namespace App\Library;

/** One difference between two revisions of a circuit: where, what it was and what it is. */
final readonly class Change
{
    public function __construct(public string $where, public string $was, public string $is)
    {
    }
}
