<?php

declare(strict_types=1);

namespace App\Record;

use App\Run\EntryLine;

/** One step on the record sheet. */
final readonly class RecordStep
{
    /** @param  list<EntryLine>  $lines */
    public function __construct(public string $title, public string $verdict, public array $lines)
    {
    }
}
