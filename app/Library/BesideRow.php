<?php

declare(strict_types=1);

namespace App\Library;

/** One thing that plans said of jobs, and what came, in the reader’s units. */
final readonly class BesideRow
{
    public function __construct(public string $what, public string $said, public string $came, public int $jobs)
    {
    }
}
