<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Job\Stage;

/** A stage in the rail: its steps where it is the current one, else how far it is. */
final readonly class RailStage
{
    /** @param  list<RailStep>  $steps  of the current stage */
    public function __construct(
        public Stage $stage,
        public bool $current,
        public int $done,
        public int $all,
        public string $href,
        public array $steps,
    ) {
    }

    public function isDone(): bool
    {
        return $this->done === $this->all;
    }
}
