<?php

declare(strict_types=1);

namespace App\Record;

/** A step that was passed over, by whom and why. */
final readonly class PassedStep
{
    public function __construct(public string $title, public string $reason, public string $by)
    {
    }
}
