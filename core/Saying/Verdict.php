<?php

declare(strict_types=1);

namespace Aqbel\Core\Saying;

/** What the numbers so far mean, why, and what to do. */
final readonly class Verdict
{
    private function __construct(public string $tone, public string $verdict, public string $reason)
    {
    }

    public static function pass(string $verdict, string $reason): self
    {
        return new self('pass', $verdict, $reason);
    }

    public static function wait(string $verdict, string $reason): self
    {
        return new self('wait', $verdict, $reason);
    }

    public static function stop(string $verdict, string $reason): self
    {
        return new self('stop', $verdict, $reason);
    }

    public function passes(): bool
    {
        return $this->tone === 'pass';
    }
}
