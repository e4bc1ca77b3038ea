<?php

declare(strict_types=1);

namespace Aqbel\Core\Saying;

/** Where a number came from. */
enum Origin: string
{
    case Measured = 'measured';
    case Predicted = 'predicted';
    case Manual = 'manual';
    case Rule = 'rule';

    public function label(): string
    {
        return match ($this) {
            self::Manual => 'from the manual',
            self::Rule => 'shop rule',
            default => $this->value,
        };
    }
}
