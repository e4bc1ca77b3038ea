<?php

declare(strict_types=1);

namespace App\Record;

/** One step on the record sheet. */
final readonly class RecordStep
{
    /** @param  list<StoryLine>  $lines */
    public function __construct(public string $title, public string $verdict, public array $lines)
    {
    }
}
