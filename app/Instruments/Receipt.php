<?php

declare(strict_types=1);

namespace App\Instruments;

/** What became of a batch: nothing of it is lost without a word. */
final readonly class Receipt
{
    /**
     * @param  int  $kept  points that were new
     * @param  int  $known  points that had come before
     * @param  list<array{line: int, field: string, problem: string}>  $refused
     * @param  bool  $danger  whether an engine of the job is to be shut off now
     */
    public function __construct(
        public int $kept,
        public int $known,
        public array $refused,
        public bool $jumped,
        public bool $danger,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['kept' => $this->kept, 'known' => $this->known, 'refused' => $this->refused]
            + ($this->jumped ? ['clock' => 'jumped'] : [])
            + ($this->danger ? ['danger' => true] : []);
    }
}
