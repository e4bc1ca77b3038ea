<?php

declare(strict_types=1);

namespace App\Plan;

/** A point the plan depends on: an icon, a tone, a few words in bold and what they mean. */
final readonly class Note
{
    public function __construct(public string $icon, public string $tone, public string $bold, public string $text)
    {
    }
}
