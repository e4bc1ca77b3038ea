<?php

declare(strict_types=1);

namespace Aqbel\Core\Day;

/** Who is where, from when to when, minutes from now. */
final readonly class Slot
{
    public function __construct(
        public string $job,
        public Task $task,
        public string $person,
        public float $fromMin,
        public float $toMin,
    ) {
    }

    /** When the clock it starts lets go. */
    public function untilMin(): float
    {
        return $this->toMin + $this->task->waitMin;
    }
}
