<?php

declare(strict_types=1);

namespace App\Floor;

/** One vehicle in the order of the day. */
final readonly class DayRow
{
    /**
     * @param  string  $id  of the job, or of the visit as `visit-N`
     * @param  bool  $danger  an engine is to be shut off: before everything
     * @param  ?int  $place  that somebody gave it, from 1; null where the plan decides
     * @param  int  $places  given by hand so far
     * @param  string  $costs  what it costs all others, on the average, to move it
     */
    public function __construct(
        public string $id,
        public string $plate,
        public string $done,
        public bool $danger,
        public ?int $place,
        private int $places,
        public string $costs,
    ) {
    }

    public function canMove(): bool
    {
        return is_numeric($this->id) && ! $this->danger;
    }

    /** @return array<array-key, string> where it may go: what the button says, by the place it gives */
    public function moves(): array
    {
        return $this->place === null ? [(string) ($this->places + 1) => 'Put first'] : array_filter([
            (string) ($this->place - 1) => $this->place > 1 ? 'Earlier' : '',
            (string) ($this->place + 1) => $this->place < $this->places ? 'Later' : '',
            '' => 'Let the plan decide',
        ]);
    }
}
