<?php

declare(strict_types=1);

namespace App\Record;

use Aqbel\Core\Job\Correction;

/** One fact of the story: when, with the day where it changes, what, and who where it was somebody else. */
final readonly class StoryLine
{
    public function __construct(
        public string $when,
        public string $said,
        public string $who,
        public ?Correction $correction,
    ) {
    }
}
