<?php

declare(strict_types=1);

namespace Aqbel\Core\Saying;

/**
 * What the numbers so far mean, why, and what to do. The code is what is stored and compared; title and reason are
 * wording, in the units of whoever reads it.
 */
final readonly class Verdict
{
    private function __construct(public string $code, public Tone $tone, public string $title, public string $reason)
    {
    }

    public static function pass(string $code, string $title, string $reason): self
    {
        return new self($code, Tone::Pass, $title, $reason);
    }

    public static function wait(string $code, string $title, string $reason): self
    {
        return new self($code, Tone::Wait, $title, $reason);
    }

    public static function stop(string $code, string $title, string $reason): self
    {
        return new self($code, Tone::Stop, $title, $reason);
    }

    public function passes(): bool
    {
        return $this->tone === Tone::Pass;
    }

    public function stops(): bool
    {
        return $this->tone === Tone::Stop;
    }
}
