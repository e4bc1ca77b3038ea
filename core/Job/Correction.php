<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/** Who replaced what an entry said, when (Unix seconds), and why, as far as it was said. */
final readonly class Correction
{
    public function __construct(public string $by, public int $at, public string $reason)
    {
    }
}
