<?php

declare(strict_types=1);

namespace App\Plan;

/** A question of the plan with its answers, label by code. */
final readonly class Choice
{
    /** @param  array<string, string>  $answers */
    public function __construct(
        public string $name,
        public string $label,
        public array $answers,
        public string $current,
    ) {
    }
}
