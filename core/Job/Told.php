<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/** Where an observation stands, when it was made, by whom and how it came here. */
final readonly class Told
{
    /**
     * @param  int  $seq  of its line
     * @param  int  $at  Unix seconds, by the server's clock
     * @param  string  $step  id of the step it was made at
     */
    public function __construct(
        public int $seq,
        public int $at,
        public string $step,
        public string $person,
        public Source $source = Source::Hand,
    ) {
    }

    public static function by(Entry $line): self
    {
        return new self($line->seq, $line->at, $line->step, $line->person);
    }

    /** Whether it was made after another one, by its own time, then as it arrived. */
    public function isAfter(?self $other): bool
    {
        return $other === null || [$this->at, $this->seq] > [$other->at, $other->seq];
    }
}
