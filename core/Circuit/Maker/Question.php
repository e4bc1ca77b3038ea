<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit\Maker;

/** One thing the maker asks; no answer is an answer to all of them. */
final readonly class Question
{
    /**
     * @param  string  $id  under which the answer is given
     * @param  ?string  $node  that a height is of, lit up while it is asked
     * @param  float  $least  of a quantity
     * @param  float  $most  of a quantity; of a text, letters
     * @param  list<string>  $choices  codes
     * @param  ?float  $usual  what is taken for a height or a capacity nobody says
     */
    public function __construct(
        public string $id,
        public QuestionKind $kind,
        public string $label,
        public float $least = 0.0,
        public float $most = 0.0,
        public ?string $node = null,
        public array $choices = [],
        public ?float $usual = null,
    ) {
    }
}
