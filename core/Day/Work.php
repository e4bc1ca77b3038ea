<?php

declare(strict_types=1);

namespace Aqbel\Core\Day;

/** What is left to do on one vehicle, in order. */
final readonly class Work
{
    /** @var list<float> minutes from the beginning of each task to the end of the last, nobody ever waiting */
    public array $tails;

    /**
     * @param  list<Task>  $tasks
     * @param  float  $fromMin  minutes from now before which nobody can go on: a clock that runs
     * @param  ?string  $by  in whose hands it is; null for anybody's
     */
    public function __construct(
        public string $job,
        public array $tasks,
        public float $fromMin = 0.0,
        public ?string $by = null,
    ) {
        $tails = [];
        $left = 0.0;
        foreach (array_reverse($tasks) as $task) {
            $left += $task->handsMin + $task->waitMin;
            $tails[] = $left;
        }
        $this->tails = array_reverse($tails);
    }
}
