<?php

declare(strict_types=1);

namespace App\Plan;

/** One height or volume that is worth measuring, in the reader’s words. */
final readonly class ToMeasure
{
    /**
     * @param  ?string  $node  whose height it is; null where it is a volume
     * @param  ?string  $passage  whose volume it is
     * @param  string  $gain  what is known better then; empty where that is not reckoned
     * @param  string  $unit  that is meant where only a number is typed
     */
    public function __construct(
        public ?string $node,
        public ?string $passage,
        public string $why,
        public string $what,
        public string $gain,
        public string $unit,
    ) {
    }

    public function name(): string
    {
        return $this->node === null ? 'passage' : 'node';
    }
}
