<?php

declare(strict_types=1);

namespace App\Run;

use App\Plan\Hours;
use Aqbel\Core\Job\Correction;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;

/** An entry as a page shows it: when, what, who, and who corrected it. */
final readonly class EntryLine
{
    public function __construct(
        public int $seq,
        public int $at,
        public string $said,
        public string $person,
        public ?Correction $correction,
        public string $waited = '',
        public bool $byInstrument = false,
    ) {
    }

    /** That a line waited on a tablet, or was told later; empty where it did not, or an instrument wrote it. */
    public static function waited(Entry $entry): string
    {
        $minutes = Told::isByInstrument($entry) ? 0.0 : $entry->waitedS() / 60.0;

        return $minutes <= 0.0
            ? ''
            : 'came in '.($minutes < 60.0 ? round($minutes).' min' : Hours::of($minutes)).' later';
    }
}
