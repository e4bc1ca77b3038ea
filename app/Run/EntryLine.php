<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Job\Correction;

/** An entry as a page shows it: when, what, who, and who corrected it. */
final readonly class EntryLine
{
    public function __construct(
        public int $seq,
        public int $at,
        public string $said,
        public string $person,
        public ?Correction $correction,
    ) {
    }
}
