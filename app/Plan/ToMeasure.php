<?php

declare(strict_types=1);

namespace App\Plan;

/** One height or volume that is worth measuring, or a gate that is worth a look, in the reader’s words. */
final readonly class ToMeasure
{
    /** What it may turn out to be, where it is no figure: words by the answer that is sent. */
    public const BY_LOOK = ['yes' => 'Lets air by', 'no' => 'Shuts tight'];

    /**
     * @param  ?string  $node  whose height it is
     * @param  ?string  $passage  whose volume it is
     * @param  ?string  $gate  of which it is to be seen whether it lets air by
     * @param  string  $gain  what is known better then; empty where that is not reckoned
     * @param  string  $unit  that is meant where only a number is typed
     */
    public function __construct(
        public ?string $node,
        public ?string $passage,
        public ?string $gate,
        public string $why,
        public string $what,
        public string $gain,
        public string $unit,
    ) {
    }

    public function name(): string
    {
        return match (true) {
            $this->node !== null => 'node',
            $this->gate !== null => 'gate',
            default => 'passage',
        };
    }

    public function id(): string
    {
        return $this->node ?? $this->gate ?? (string) $this->passage;
    }
}
