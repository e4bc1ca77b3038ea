<?php

declare(strict_types=1);

namespace App\Plan;

/** One question with its answers, the one chosen now and the usual one. */
final readonly class Choice
{
    private string $usual;

    /**
     * @param  array<string, string>  $answers  label by value
     * @param  ?string  $usual  the first when not given
     */
    public function __construct(
        public string $name,
        public string $label,
        public array $answers,
        public string $current,
        ?string $usual = null,
    ) {
        $this->usual = $usual ?? (string) array_key_first($answers);
    }

    public function said(): string
    {
        return $this->answers[$this->current] ?? '';
    }

    public function differs(): bool
    {
        return $this->current !== $this->usual;
    }
}
