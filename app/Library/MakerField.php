<?php

declare(strict_types=1);

namespace App\Library;

use Aqbel\Core\Circuit\Maker\QuestionKind;

/** One question of the maker as it is shown. */
final readonly class MakerField
{
    /**
     * @param  string  $unit  meant where only a number is typed
     * @param  string  $usual  what is taken where nobody knows
     * @param  ?string  $node  lit up while it is asked
     * @param  array<string, string>  $choices  label by code
     * @param  string  $of  the thing without which it is not asked; empty where every vehicle has it
     */
    public function __construct(
        public string $id,
        public QuestionKind $kind,
        public string $label,
        public string $unit,
        public string $usual,
        public ?string $node,
        public array $choices,
        public string $of,
    ) {
    }
}
