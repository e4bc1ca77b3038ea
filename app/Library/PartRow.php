<?php

declare(strict_types=1);

namespace App\Library;

/** What is known of one part of a circuit. */
final readonly class PartRow
{
    /** @param  list<string>  $photos  where they are shown, of the points it is emptied by, the newest first */
    public function __construct(
        public string $label,
        public string $holds,
        public string $emptiedBy,
        public string $lastTime,
        public array $photos,
    ) {
    }
}
