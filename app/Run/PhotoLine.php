<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Job\Entry;

/** A photograph as a page shows it. */
final readonly class PhotoLine
{
    public function __construct(public string $id, public string $caption, public string $alt, public string $by)
    {
    }

    public static function of(Entry $entry): self
    {
        $caption = $entry->text('caption');
        $alt = $caption === '' ? 'Photograph of '.date('H:i', $entry->at) : $caption;

        return new self($entry->text('photo'), $caption, $alt, "{$entry->person}, ".date('m-d H:i', $entry->at));
    }
}
