<?php

declare(strict_types=1);

namespace App\Audit;

/** One difference: where, what it was and what it is. Empty for nothing. */
final readonly class Change
{
    public function __construct(public string $where, public string $was, public string $is)
    {
    }
}
